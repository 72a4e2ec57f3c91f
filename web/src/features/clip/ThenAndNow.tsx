import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Wire } from "@/api/types";
import { scaleOf } from "@/ui/units";
import { Seen } from "./Seen";
import type { CameraView } from "./seen";
import { nearest, type Shown, TELLING } from "./shown";
import { useStored } from "./useStored";

type Clip = Wire["ClipView"];
type Side = { lesson: string; stage: string };
type Props = { hand: Hand; catalogue: Catalogue };

const last = (clips: Wire["ClipsView"] | undefined, { stage }: Side, view: string) =>
  clips?.clips.filter((c) => c.view === view && c.stage === stage && c.state === "kept").at(-1);

/** The same moment in the films of two lessons beside each other; nothing where there are no two of a kind. */
export default function ThenAndNow({ then, now, ...rest }: { then: Side; now: Side } & Props) {
  const first = useQuery(queries.clips(then.lesson));
  const second = useQuery(queries.clips(now.lesson));
  const pairs = (Object.keys(TELLING) as CameraView[]).flatMap((view) => {
    const was = last(first.data, then, view);
    const is = last(second.data, now, view);
    return was && is ? [{ view, was, is }] : [];
  });
  if (pairs.length === 0) return null;
  return (
    <section aria-label="Filmed then and now" className="flex flex-wrap gap-x-8 gap-y-4 break-inside-avoid">
      {pairs.map((pair) => (
        <Pair key={pair.was.id + pair.is.id} {...pair} {...rest} />
      ))}
    </section>
  );
}

function Pair({ view, was, is, hand, catalogue }: { view: CameraView; was: Clip; is: Clip } & Props) {
  const both = catalogue.checkpoints.filter((c) =>
    [was, is].every((clip) => clip.moments.some((m) => m.id === c.id)),
  );
  const [chosen, setChosen] = useState(TELLING[view].at);
  const at = both.find((c) => c.id === chosen) ?? both[0];
  const sides = [
    { label: "Then", shown: useStored(was, "Then") },
    { label: "Now", shown: useStored(is, "Now") },
  ];
  if (!at) return null;
  return (
    <div className="grid gap-2">
      <div className="flex gap-2">
        {sides.map(
          ({ label, shown }) =>
            shown && (
              <figure key={label} className="grid gap-1">
                <div className="h-56 [&>div]:h-56">
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
function Told({ shown, at, catalogue }: { shown: Shown; at: string; catalogue: Catalogue }) {
  const reading = shown.readings.find((r) => r.measure === TELLING[shown.view].measure && r.at === at);
  const measure = catalogue.measures.find((m) => m.id === reading?.measure);
  if (!reading || !measure) return null;
  const { factor, unit } = scaleOf(catalogue.scales, measure.unit);
  const said = (value: number) => (value * factor).toFixed(1);
  return (
    <span className="text-soft">
      pelvis {said(reading.value)} ± {said(2 * reading.uncertainty)} {unit}
    </span>
  );
}
