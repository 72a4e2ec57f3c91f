import type { Catalogue, Wire } from "@/api/types";
import { scaleOf } from "@/ui/units";
import type { CameraView } from "./seen";
import { type Shown, TELLING } from "./shown";

type Clip = Wire["ClipView"];
type Clips = Wire["ClipsView"];

/** A lesson, and its balls before or after. */
export type Side = { lesson: string; stage: string };

/** Two films from the same side, of two lessons. */
export type FilmPair = { view: CameraView; was: Clip; is: Clip };

const last = (clips: Clips | undefined, { stage }: Side, view: string) =>
  clips?.clips.filter((c) => c.view === view && c.stage === stage && c.state === "kept").at(-1);

/** The last kept film of each side from where both lessons have one. */
export const pairsOf = (
  first: Clips | undefined,
  then: Side,
  second: Clips | undefined,
  now: Side,
): FilmPair[] =>
  (Object.keys(TELLING) as CameraView[]).flatMap((view) => {
    const was = last(first, then, view);
    const is = last(second, now, view);
    return was && is ? [{ view, was, is }] : [];
  });

/** The moments that are known of both. */
export const momentsOfBoth = (was: Clip, is: Clip, catalogue: Catalogue) =>
  catalogue.checkpoints.filter((c) => [was, is].every((clip) => clip.moments.some((m) => m.id === c.id)));

/** What tells most of a film at a moment, with what it may be off by; undefined where it is not measured. */
export function toldAt(shown: Shown, at: string, catalogue: Catalogue): string | undefined {
  const reading = shown.readings.find((r) => r.measure === TELLING[shown.view].measure && r.at === at);
  const measure = catalogue.measures.find((m) => m.id === reading?.measure);
  if (!reading || !measure) return undefined;
  const { factor, unit } = scaleOf(catalogue.scales, measure.unit);
  const said = (value: number) => (value * factor).toFixed(1);
  return `pelvis ${said(reading.value)} ± ${said(2 * reading.uncertainty)} ${unit}`;
}
