import type { Catalogue, Compare } from "@/api/types";
import { total } from "./tally";
import { Wide } from "@/ui/Wide";

type Shots = Compare["first"]["shots"];
const KINDS = ["flight", "strike", "divot"] as const;
const WIDTH = 220;

/** Each ball result's share then and now: an outlined bar over a filled one. */
export function TallyBars({ then, now, catalogue }: { then: Shots; now: Shots; catalogue: Catalogue }) {
  const rows = KINDS.flatMap((kind) =>
    catalogue.ballResults
      .filter((r) => r.kind === kind)
      .map((r) => ({
        label: r.label,
        key: `${kind}:${r.id}`,
        then: share(then[kind]?.[r.id], total(then[kind])),
        now: share(now[kind]?.[r.id], total(now[kind])),
      }))
      .filter((r) => r.then.hits + r.now.hits > 0),
  );
  if (rows.length === 0) return <p className="text-soft">No balls were tallied at either moment.</p>;
  return (
    <Wide label="Balls">
      <table className="border-collapse self-start">
        <caption className="text-soft text-left text-sm">Balls: outlined then, filled now</caption>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key}>
              <th scope="row" className="pr-3 text-left font-normal">
                {row.label}
              </th>
              <td>
                <svg viewBox={`0 0 ${WIDTH} 26`} width={WIDTH} height="26" aria-hidden>
                  <rect
                    x="0.5"
                    y="2.5"
                    width={row.then.share * (WIDTH - 1)}
                    height="9"
                    fill="var(--sheet)"
                    stroke="var(--strong-line)"
                  />
                  <rect x="0" y="14" width={row.now.share * WIDTH} height="10" fill="var(--lead)" />
                </svg>
              </td>
              <td className="text-soft pl-3 text-sm whitespace-nowrap">
                {said(row.then)} → <strong className="text-ink">{said(row.now)}</strong>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

function share(hits = 0, of: number) {
  return { hits, of, share: of === 0 ? 0 : hits / of };
}

function said({ hits, of }: { hits: number; of: number }): string {
  return of === 0 ? "not looked at" : `${hits} of ${of}`;
}
