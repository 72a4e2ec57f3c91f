import { useMemo, useState } from "react";
import type { Catalogue, Hand, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { NumberField } from "@/ui/NumberField";
import { Note } from "@/ui/Notice";
import { ClipPicture } from "./ClipPicture";
import { drawing } from "./lines";
import { Picture } from "./Picture";
import type { PointName, Points } from "./points";
import type { CameraView } from "./seen";

/** A filmed swing as it is shown, just found or kept. */
export type Shown = {
  name: string;
  view: CameraView;
  width: number;
  height: number;
  times: number[];
  frames: (Points | null)[];
  moments: Wire["SwingMomentView"][];
  warnings: Wire["WarningView"][];
  ruler: Wire["RulerView"];
  readings: Wire["MeasuredView"][];
  /** The picture at a time, or next to a moment; undefined where none is at hand. */
  picture: (index: number, moment?: string) => Blob | string | undefined;
};

export type Marks = { from: [number, number]; to: [number, number]; centimetres: number };

/** An iron, from end to end, cm: what lies about on a range. */
const USUAL_MARK = 94;

export const nearest = (times: number[], at: number): number => {
  let best = 0;
  for (let i = 1; i < times.length; i++) if (Math.abs(times[i]! - at) < Math.abs(times[best]! - at)) best = i;
  return best;
};

const EXPLAINED: Record<string, string> = {
  marks: "Scale by two marks",
  ball: "Scale by the ball",
  none: "No scale yet, so no lengths.",
};

/** The film of a swing: scrubbed and stepped, with the lines that are measured, its moments as a strip of stills below. */
export function ClipDesk({
  shown,
  against,
  hand,
  catalogue,
  tall,
  marks,
  onMoment,
  onTall,
  onMarks,
}: {
  shown: Shown;
  against?: Shown;
  hand: Hand;
  catalogue: Catalogue;
  /** Height of the student, cm. */
  tall: number | null;
  marks?: Marks;
  /** Null gives a moment back to what was found. */
  onMoment: (id: string, seconds: number | null) => void;
  onTall: (cm: number | null) => void;
  onMarks: (marks: Marks | undefined) => void;
}) {
  const impact = shown.moments.find((m) => m.id === "top") ?? shown.moments[0];
  const [index, setIndex] = useState(() => nearest(shown.times, impact?.time ?? 0));
  const [chosen, setChosen] = useState<string | undefined>(impact?.id);
  const [marking, setMarking] = useState<[number, number][]>();
  const at = Math.min(index, shown.times.length - 1);
  const seconds = shown.times[at] ?? 0;
  const lead = hand === "right" ? "left" : "right";
  const arms = useMemo(() => [`${lead}-shoulder`, `${lead}-elbow`, `${lead}-wrist`] as PointName[], [lead]);
  const step = (by: number) => setIndex(Math.max(0, Math.min(shown.times.length - 1, at + by)));
  const goTo = (id: string) => {
    setChosen(id);
    const moment = shown.moments.find((m) => m.id === id);
    if (moment) setIndex(nearest(shown.times, moment.time));
  };
  const moment = shown.moments.find((m) => m.id === chosen);
  const checkpoint = catalogue.checkpoints.find((c) => c.id === chosen);
  // A moment lies between two pictures: the nearer one shows it.
  const off = !moment || nearest(shown.times, moment.time) !== at;
  const other = against && {
    shown: against,
    at: nearest(against.times, against.moments.find((m) => m.id === chosen)?.time ?? 0),
  };
  return (
    <div className="grid gap-3">
      <div
        className={`grid gap-3 ${other ? "sm:grid-cols-2" : ""}`}
        onWheel={(e) => {
          if (e.deltaY !== 0) step(e.deltaY > 0 ? 1 : -1);
        }}
      >
        <div className="max-h-[20rem] [&>div]:h-[20rem]">
          <Seen
            shown={shown}
            at={at}
            arms={arms}
            moment={off ? undefined : moment?.id}
            marks={marking ?? (marks ? [marks.from, marks.to] : [])}
            onPress={
              marking &&
              ((press) => {
                const next = [...marking, press];
                if (next.length < 2) return setMarking(next);
                setMarking(undefined);
                onMarks({ from: next[0]!, to: next[1]!, centimetres: marks?.centimetres ?? USUAL_MARK });
              })
            }
          />
        </div>
        {other && (
          <div className="max-h-[20rem] [&>div]:h-[20rem]">
            <Seen shown={other.shown} at={other.at} arms={arms} moment={chosen} marks={[]} />
          </div>
        )}
        {other && (
          <>
            <p className="text-soft text-center text-sm">{shown.name}</p>
            <p className="text-soft text-center text-sm">{other.shown.name}</p>
          </>
        )}
      </div>
      <label className="grid gap-1">
        <span className="sr-only">Picture of the film</span>
        <input
          type="range"
          min={0}
          max={shown.times.length - 1}
          value={at}
          onChange={(e) => setIndex(Number(e.target.value))}
          aria-valuetext={`${seconds.toFixed(3)} s`}
        />
      </label>
      <ol className="grid grid-cols-8 gap-1" aria-label="Moments of the swing">
        {catalogue.checkpoints.map((c) => {
          const there = shown.moments.find((m) => m.id === c.id);
          return (
            <li key={c.id}>
              <button
                type="button"
                aria-pressed={chosen === c.id}
                onClick={() => goTo(c.id)}
                className="border-line aria-pressed:border-ink grid w-full justify-items-center rounded border-2 text-sm"
              >
                <Still shown={shown} id={c.id} time={there?.time} />
                <span className={there ? "font-semibold" : "text-soft"}>{c.brief}</span>
                <span className="text-soft text-xs tabular-nums">
                  {there
                    ? `${there.time.toFixed(2)} s${there.from === "corrected" ? " ✎" : ""}`
                    : "not found"}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {checkpoint && (
          <>
            <Button disabled={!off} onClick={() => onMoment(checkpoint.id, seconds)}>
              {checkpoint.brief} is here
            </Button>
            {moment?.from === "corrected" && (
              <Button weight="quiet" onClick={() => onMoment(checkpoint.id, null)}>
                As it was found
              </Button>
            )}
          </>
        )}
        <span className="ml-auto flex flex-wrap items-center gap-2">
          {shown.ruler.from !== "height" && <span>{EXPLAINED[shown.ruler.from]}</span>}
          {!marks && (
            <label className="flex items-center gap-2">
              {shown.ruler.from === "height" ? "Scale by the height" : "Height"}
              <NumberField
                value={tall}
                lowest={100}
                highest={230}
                unit="cm"
                onChange={onTall}
                className="w-16"
              />
              cm
            </label>
          )}
          {marks && (
            <label className="flex items-center gap-2">
              Between the marks
              <NumberField
                value={marks.centimetres}
                lowest={2}
                highest={300}
                decimals={1}
                unit="cm"
                onChange={(cm) => cm && onMarks({ ...marks, centimetres: cm })}
                className="w-16"
              />
              cm
            </label>
          )}
          <Button
            weight="quiet"
            aria-pressed={!!marking}
            onClick={() => {
              if (marks) onMarks(undefined);
              else setMarking(marking ? undefined : []);
            }}
          >
            {marks ? "Without marks" : marking ? "Press both ends of a club" : "Set two marks"}
          </Button>
        </span>
      </div>
      {shown.warnings.map((w) => (
        <Note key={w.code + w.text} tone={w.code === "no-swing" || w.code === "mirrored" ? "alert" : "plain"}>
          {w.text}
        </Note>
      ))}
    </div>
  );
}

function Seen({
  shown,
  at,
  arms,
  moment,
  marks,
  onPress,
}: {
  shown: Shown;
  at: number;
  arms: PointName[];
  moment?: string;
  marks: [number, number][];
  onPress?: (at: [number, number]) => void;
}) {
  const points = shown.frames[at];
  const address = shown.moments.find((m) => m.id === "address");
  const first = address && shown.frames[nearest(shown.times, address.time)];
  const measure = shown.view === "face-on" ? "pelvis-drift" : "pelvis-thrust";
  const reading = moment ? shown.readings.find((r) => r.measure === measure && r.at === moment) : undefined;
  const half = (reading?.uncertainty ?? 0) * 2 * (shown.ruler.pixelsPerCentimetre ?? 0);
  const picture = shown.picture(at, moment);
  const drawn = points
    ? drawing(shown.view, points, first ?? undefined, arms, half, !picture)
    : { lines: [], dots: [], bands: [] };
  return (
    <ClipPicture
      picture={picture}
      width={shown.width}
      height={shown.height}
      drawing={drawn}
      marks={marks}
      onPress={onPress}
      said={`${shown.name} at ${(shown.times[at] ?? 0).toFixed(2)} s${points ? "" : ": nobody is to be seen"}${
        reading ? `, pelvis ${Math.round(reading.value)} cm from its place` : ""
      }`}
    />
  );
}

function Still({ shown, id, time }: { shown: Shown; id: string; time?: number }) {
  const picture = time === undefined ? undefined : shown.picture(nearest(shown.times, time), id);
  return (
    <span
      className="bg-tint block w-full overflow-hidden"
      style={{ aspectRatio: `${shown.width} / ${shown.height}` }}
    >
      {picture && <Picture of={picture} />}
    </span>
  );
}
