import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Hand } from "@/api/types";
import { type FilmPair, momentsOfBoth, pairsOf, type Side, toldAt } from "./pairs";
import { Seen } from "./Seen";
import { nearest, type Shown, TELLING } from "./shown";
import { useStored } from "./useStored";

type Props = { hand: Hand; catalogue: Catalogue };

/** The same moment in the films of two lessons beside each other; nothing where there are no two of a kind. */
export default function ThenAndNow({ then, now, ...rest }: { then: Side; now: Side } & Props) {
  const first = useQuery(queries.clips(then.lesson));
  const second = useQuery(queries.clips(now.lesson));
  const pairs = pairsOf(first.data, then, second.data, now);
  if (pairs.length === 0) return null;
  return (
    <section aria-label="Filmed then and now" className="flex flex-wrap gap-x-8 gap-y-4 break-inside-avoid">
      {pairs.map((pair) => (
        <Pair key={pair.was.id + pair.is.id} {...pair} {...rest} />
      ))}
    </section>
  );
}

function Pair({ view, was, is, hand, catalogue }: FilmPair & Props) {
  const both = momentsOfBoth(was, is, catalogue);
  const [chosen, setChosen] = useState(TELLING[view].at);
  const at = both.find((c) => c.id === chosen) ?? both[0];
  const sides = [
    { label: "Then", shown: useStored(was, "Then", true) },
    { label: "Now", shown: useStored(is, "Now", true) },
  ];
  if (!at) return null;
  return (
    <div className="grid gap-2">
      <div className="flex gap-2">
        {sides.map(
          ({ label, shown }) =>
            shown && (
              <figure key={label} className="grid gap-1">
                <div className="[--tall:14rem]">
                  <Seen
                    small
                    shown={shown}
                    at={nearest(shown.times, shown.moments.find((m) => m.id === at.id)!.time)}
                    hand={hand}
                    moment={at.id}
                  />
                </div>
                <figcaption className="text-sm">
                  <strong>{label}</strong> <Told shown={shown} at={at.id} catalogue={catalogue} />
                </figcaption>
              </figure>
            ),
        )}
      </div>
      <label className="no-print">
        <span className="sr-only">Moment</span>
        <select value={at.id} onChange={(e) => setChosen(e.target.value)}>
          {both.map((c) => (
            <option key={c.id} value={c.id}>
              {c.label}
            </option>
          ))}
        </select>
      </label>
      <p className="hidden text-sm print:block">{at.label}</p>
    </div>
  );
}

/** What is measured there, with what it may be off by. */
function Told(props: { shown: Shown; at: string; catalogue: Catalogue }) {
  const said = toldAt(props.shown, props.at, props.catalogue);
  return said && <span className="text-soft">{said}</span>;
}
