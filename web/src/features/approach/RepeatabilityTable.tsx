import type { Approach, Catalogue } from "@/api/types";
import { MetricField } from "@/ui/MetricField";
import { inDigits } from "@/ui/number";
import { type Scale, scaleOf, toSaid } from "@/ui/units";
import { Wide } from "@/ui/Wide";

type Sem = Approach["repeatability"][number];

/** How many times larger or smaller than the assumption an own value may be; the server holds the same rule. */
const WIDEST = 5;

/** How well each source repeats: working assumptions, until the coach knows better. */
export function RepeatabilityTable({
  sems,
  catalogue,
  onChange,
}: {
  sems: Sem[];
  catalogue: Catalogue;
  onChange: (sem: Sem) => void;
}) {
  const sources = catalogue.sources.filter((s) => sems.some((x) => x.source === s.id));
  const quantities = [...new Map(sems.map((s) => [s.quantity, s])).values()];
  return (
    <Wide label="Repeatability by source">
      <table className="border-collapse text-left">
        <caption className="text-soft mb-2 text-left">
          Half of all readings of the same swing lie within about two thirds of this value of the truth. The
          numbers are working assumptions of this program, not published ones; put in your own where you know
          better.
        </caption>
        <thead className="text-soft border-strong-line border-b text-sm">
          <tr>
            <th className="py-1 pr-6 font-normal">Repeatability (SEM)</th>
            {sources.map((s) => (
              <th key={s.id} className="py-1 pr-6 font-normal">
                {s.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {quantities.map((q) => (
            <tr key={q.quantity} className="border-line border-b">
              <th scope="row" className="py-1 pr-6 font-normal">
                {q.label}, {scaleOf(catalogue.scales, q.unit).unit}
              </th>
              {sources.map((s) => {
                const sem = sems.find((x) => x.quantity === q.quantity && x.source === s.id);
                return (
                  <td key={s.id} className="py-1 pr-6">
                    {sem ? (
                      <SemField
                        sem={sem}
                        scale={scaleOf(catalogue.scales, q.unit)}
                        label={`${q.label}, ${s.label.toLowerCase()}`}
                        onChange={onChange}
                      />
                    ) : (
                      <span className="text-soft">–</span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

function SemField({
  sem,
  scale,
  label,
  onChange,
}: {
  sem: Sem;
  scale: Scale;
  label: string;
  onChange: (sem: Sem) => void;
}) {
  const assumed = inDigits(toSaid(sem.assumed, scale), 2);
  return (
    <span className="grid justify-items-start">
      <MetricField
        scale={scale}
        aria-label={label}
        lowest={sem.assumed / WIDEST}
        highest={sem.assumed * WIDEST}
        decimals={2}
        value={sem.sem}
        placeholder={assumed}
        onChange={(n) => onChange({ ...sem, sem: n ?? sem.assumed })}
      />
      {sem.sem !== sem.assumed && <span className="text-soft text-sm">assumed {assumed}</span>}
    </span>
  );
}
