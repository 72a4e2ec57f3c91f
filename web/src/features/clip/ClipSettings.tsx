import type { Catalogue } from "@/api/types";
import { Button } from "@/ui/Button";
import { MetricField } from "@/ui/MetricField";
import { scaleOf } from "@/ui/units";
import type { Poses } from "./byHand";
import type { Fix } from "./fixes";
import type { CameraView } from "./seen";
import type { Shown } from "./shown";

export type Marks = { from: [number, number]; to: [number, number]; centimetres: number };

/** A film as the coach set it, before it is kept. */
export type ClipSet = {
  view: CameraView;
  marks?: Marks;
  moments: Record<string, number>;
  fixes: Fix[];
  /** Where nothing looked for points. */
  poses: Poses;
};

/** What is set by hand of a film, and how it is told. */
export type Setting = {
  /** Height of the student, cm. */
  tall: number | null;
  marks?: Marks;
  /** Points were dragged. */
  fixed?: boolean;
  /** Null gives a moment back to what was found; nothing where moments stay. */
  onMoment?: (id: string, seconds: number | null) => void;
  onTall: (cm: number | null) => void;
  onMarks: (marks: Marks | undefined) => void;
  /** A point was dragged; nothing gives all back to where they were found. */
  onFix?: (fix?: Fix) => void;
  /** What is asked of a moment where points are set by hand. */
  asking?: (moment: string) => Asking;
};

/** @param what is to be pressed next; undefined when all is set, or the moment itself is not */
export type Asking = {
  what?: string;
  /** Null where it is not to be seen. */
  onPlace: (at: [number, number] | null) => void;
  /** Undefined before anything is set. */
  onBack?: () => void;
  /** The moments that are to be set yet. */
  left: string[];
};

/** A ball's width, cm. */
const BALL = 4.27;

const EXPLAINED: Record<string, string> = {
  marks: "Scale by two marks",
  ball: "Scale by the ball",
  none: "No scale yet, so no lengths.",
};

/** Sets the chosen moment where the film stands, and the scale. */
export function ClipSettings({
  setting,
  shown,
  catalogue,
  moment,
  seconds,
  off,
  marking,
  onMarking,
}: {
  setting: Setting;
  shown: Shown;
  catalogue: Catalogue;
  /** The chosen one. */
  moment?: string;
  /** Where the film stands. */
  seconds: number;
  /** The film stands somewhere else than at the moment. */
  off: boolean;
  /** The next two presses are marks. */
  marking: boolean;
  onMarking: (marking: boolean) => void;
}) {
  const { marks } = setting;
  const length = scaleOf(catalogue.scales, "cm");
  const checkpoint = catalogue.checkpoints.find((c) => c.id === moment);
  const there = shown.moments.find((m) => m.id === moment);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      {checkpoint && setting.onMoment && (
        <>
          <Button disabled={!off} onClick={() => setting.onMoment?.(checkpoint.id, seconds)}>
            {checkpoint.brief} is here
          </Button>
          {there?.from === "corrected" && (
            <Button weight="quiet" onClick={() => setting.onMoment?.(checkpoint.id, null)}>
              {setting.asking ? `Without ${checkpoint.brief.toLowerCase()}` : "As it was found"}
            </Button>
          )}
        </>
      )}
      {setting.fixed && (
        <Button weight="quiet" onClick={() => setting.onFix?.()}>
          Points as they were found
        </Button>
      )}
      <span className="ml-auto flex flex-wrap items-center gap-2">
        {shown.ruler.from !== "height" && <span>{EXPLAINED[shown.ruler.from]}</span>}
        {!marks && (
          <label className="flex items-center gap-2">
            {shown.ruler.from === "height" ? "Scale by the height" : "Height"}
            <MetricField
              value={setting.tall}
              lowest={100}
              highest={230}
              decimals={1}
              scale={length}
              onChange={setting.onTall}
              className="w-18"
            />
            {length.unit}
          </label>
        )}
        {marks && (
          <label className="flex items-center gap-2">
            Between the marks
            <MetricField
              value={marks.centimetres}
              lowest={2}
              highest={300}
              decimals={1}
              scale={length}
              onChange={(cm) => cm && setting.onMarks({ ...marks, centimetres: cm })}
              className="w-18"
            />
            {length.unit}
          </label>
        )}
        {marks && shown.ruler.from !== "ball" && (
          <Button weight="quiet" onClick={() => setting.onMarks({ ...marks, centimetres: BALL })}>
            It is a ball
          </Button>
        )}
        <Button
          weight="quiet"
          aria-pressed={marking}
          onClick={() => {
            if (marks) setting.onMarks(undefined);
            else onMarking(!marking);
          }}
        >
          {marks ? "Without marks" : marking ? "Press both ends of a club, or of a ball" : "Set two marks"}
        </Button>
      </span>
    </div>
  );
}
