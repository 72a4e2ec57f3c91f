import { Footprints, Pause, Play } from "lucide-react";
import {
  type ComponentProps,
  type ComponentType,
  lazy,
  type PointerEvent,
  Suspense,
  useEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import type { Hand } from "@/api/types";
import { Choice } from "@/ui/Choice";
import { IconButton } from "@/ui/IconButton";
import { cameraOf, project, type View, VIEW_NAMES, type ViewName, VIEWS } from "./camera";
import { GolferPicture } from "./GolferPicture";
import { type Look, LOOKS } from "./looks";
import { type Motion, poseAt, shownTime, timeOf } from "./motion";
import { PoseStrip } from "./PoseStrip";
import { type Drawn } from "./scene";
import { stillIsWanted, useClock } from "./useClock";

type ThreeProps = ComponentProps<typeof import("./ThreeCanvas").default>;

/** Without a signal, where it was never fetched, the golfer is drawn in ink. */
const ThreeCanvas = lazy<ComponentType<ThreeProps>>(() =>
  import("./ThreeCanvas").catch(() => ({ default: NotHere })),
);

function NotHere({ onFailed }: ThreeProps) {
  useEffect(onFailed, [onFailed]);
  return null;
}

const SPEEDS = [
  { id: "0.25", label: "¼" },
  { id: "0.5", label: "½" },
  { id: "1", label: "1" },
];
const DEGREES_PER_PIXEL = 0.5;
const FRAME = 1 / 30;

/**
 * A movement of the golfer to be watched: played, slowed, scrubbed, stepped through its moments and seen from all sides.
 * Another one may be laid behind it, see-through.
 */
export function GolferView({
  motion,
  behind,
  hand,
  look = LOOKS[0]!,
  seen = "face",
  feet = false,
  said,
  mark = [],
  compact = false,
}: {
  motion: Motion;
  behind?: Motion;
  hand: Hand;
  look?: Look;
  /** From where at first. */
  seen?: ViewName;
  /** Whether the feet alone at first. */
  feet?: boolean;
  /** In words what is to be seen. */
  said: string;
  /** Points to look at. */
  mark?: string[];
  /** For a phone: play and time alone; a finger turns it. */
  compact?: boolean;
}) {
  const begins = stillIsWanted() ? shownTime(motion) : 0;
  const [speed, setSpeed] = useState("0.5");
  const { seconds, running, setRunning, scrub } = useClock(motion.seconds, begins, Number(speed));
  const [view, setView] = useState<View>({ ...VIEWS[seen], feet });
  const [round, setRound] = useState(hasWebGl);
  const turned = useRef<[number, number]>(undefined);
  const named = (Object.keys(VIEWS) as ViewName[]).find(
    (name) => VIEWS[name].turn === view.turn && VIEWS[name].rise === view.rise,
  );
  const drawn: Drawn[] = useMemo(
    () => [
      ...(behind ? [{ motion: behind, seconds: beside(motion, behind, seconds), ghost: true }] : []),
      { motion, seconds },
    ],
    [motion, behind, seconds],
  );
  const moment = [...motion.moments].reverse().find((m) => m.time <= seconds + 0.001);
  const step = (by: number) => {
    const times = motion.moments.map((m) => m.time);
    const next =
      by > 0 ? times.find((t) => t > seconds + 0.005) : times.reverse().find((t) => t < seconds - 0.005);
    scrub(next ?? (by > 0 ? motion.seconds : 0));
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const keys: Record<string, () => void> = {
      " ": () => setRunning(!running),
      ArrowRight: () => step(1),
      ArrowLeft: () => step(-1),
      ".": () => scrub(seconds + FRAME),
      ",": () => scrub(seconds - FRAME),
      Home: () => scrub(0),
      End: () => scrub(motion.seconds),
    };
    const pressed = keys[event.key];
    if (!pressed) return;
    pressed();
    event.preventDefault();
    event.stopPropagation();
  };
  const onPointer = (event: PointerEvent<HTMLDivElement>) => {
    if (event.type === "pointerdown") {
      event.currentTarget.setPointerCapture(event.pointerId);
      turned.current = [event.clientX, event.clientY];
    } else if (event.type === "pointermove" && turned.current) {
      const [x, y] = turned.current;
      turned.current = [event.clientX, event.clientY];
      const side = hand === "right" ? 1 : -1;
      setView((was) => ({
        ...was,
        turn: was.turn + side * (event.clientX - x) * DEGREES_PER_PIXEL,
        rise: Math.max(0, Math.min(89, was.rise + (event.clientY - y) * DEGREES_PER_PIXEL)),
      }));
    } else turned.current = undefined;
  };
  const near = (
    <IconButton
      label="The feet alone"
      aria-pressed={!!view.feet}
      onClick={() => setView({ ...view, feet: !view.feet })}
    >
      <Footprints aria-hidden className="size-5" />
    </IconButton>
  );
  const ink = <GolferPicture drawn={drawn} hand={hand} view={view} look={look} className="size-full" />;
  return (
    <section aria-label={said} className="golfer-view grid gap-2">
      <div
        role="img"
        aria-label={`${said} ${moment ? moment.label : ""}, seen ${named ? VIEW_NAMES[named].toLowerCase() : "from aside"}${view.feet ? ", the feet alone" : ""}.`}
        tabIndex={0}
        className="relative aspect-square print:hidden w-full cursor-grab touch-pan-y select-none active:cursor-grabbing"
        onKeyDown={onKeyDown}
        onPointerDown={onPointer}
        onPointerMove={onPointer}
        onPointerUp={onPointer}
        onPointerCancel={onPointer}
      >
        {round ? (
          <Suspense fallback={ink}>
            <ThreeCanvas
              drawn={drawn}
              hand={hand}
              view={view}
              look={look}
              moving={running}
              onFailed={() => setRound(false)}
            />
          </Suspense>
        ) : (
          ink
        )}
        <Marks motion={motion} seconds={seconds} hand={hand} view={view} points={mark} />
      </div>
      <div className="no-print grid gap-1">
        <div className="flex items-center gap-2">
          <IconButton label={running ? "Pause" : "Play"} onClick={() => setRunning(!running)}>
            {running ? <Pause aria-hidden className="size-5" /> : <Play aria-hidden className="size-5" />}
          </IconButton>
          <input
            type="range"
            className="min-h-11 flex-1"
            aria-label="Time in the movement"
            aria-valuetext={`${seconds.toFixed(1)} s${moment ? `, ${moment.label}` : ""}`}
            min={0}
            max={motion.seconds}
            step={0.01}
            value={seconds}
            onChange={(e) => scrub(Number(e.target.value))}
          />
          {compact && near}
          {!compact && <Choice compact label="Speed" value={speed} options={SPEEDS} onChange={setSpeed} />}
        </div>
        <div hidden={compact} className="flex flex-wrap gap-x-1" role="group" aria-label="Moments">
          {motion.moments.map((m) => (
            <button
              key={m.id}
              type="button"
              aria-pressed={!running && Math.abs(m.time - seconds) < 0.006}
              onClick={() => scrub(m.time)}
              className="aria-pressed:bg-ink aria-pressed:text-on-ink not-aria-pressed:hover:bg-tint min-h-11 rounded px-2 text-sm"
            >
              {m.brief}
            </button>
          ))}
        </div>
        <div hidden={compact} className="flex flex-wrap gap-x-1" role="group" aria-label="Seen">
          {(Object.keys(VIEWS) as ViewName[]).map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={named === name}
              onClick={() => setView({ ...VIEWS[name], feet: view.feet })}
              className="aria-pressed:underline not-aria-pressed:hover:bg-tint min-h-11 rounded px-2 text-sm font-semibold underline-offset-4"
            >
              {VIEW_NAMES[name]}
            </button>
          ))}
          {!compact && near}
        </div>
      </div>
      {stillIsWanted() && <PoseStrip motion={motion} hand={hand} view={view} look={look} />}
      <div className="hidden print:block">
        <PoseStrip motion={motion} hand={hand} view={VIEWS[seen]} look={look} />
      </div>
    </section>
  );
}

/** The other's time at the same part of the way between two moments that both have. */
function beside(motion: Motion, other: Motion, seconds: number): number {
  const known = motion.moments.filter((m) => other.moments.some((o) => o.id === m.id));
  const pairs: [number, number][] = [
    [0, 0],
    ...known.map((m): [number, number] => [m.time, timeOf(other, m.id)]),
    [motion.seconds, other.seconds],
  ];
  for (let i = 1; i < pairs.length; i++) {
    const [from, to] = [pairs[i - 1]!, pairs[i]!];
    if (seconds <= to[0]) {
      const part = to[0] > from[0] ? (seconds - from[0]) / (to[0] - from[0]) : 1;
      return from[1] + Math.max(0, part) * (to[1] - from[1]);
    }
  }
  return other.seconds;
}

let webGl: boolean | undefined;

function hasWebGl(): boolean {
  return (webGl ??=
    typeof WebGL2RenderingContext !== "undefined" && !!document.createElement("canvas").getContext("webgl2"));
}

/** Rings around the points to look at, over whatever draws. */
function Marks({
  motion,
  seconds,
  hand,
  view,
  points,
}: {
  motion: Motion;
  seconds: number;
  hand: Hand;
  view: View;
  points: string[];
}) {
  if (points.length === 0) return null;
  const pose = poseAt(motion, seconds, hand);
  const camera = cameraOf(view, hand);
  return (
    <svg viewBox="0 0 100 100" aria-hidden className="pointer-events-none absolute inset-0 size-full">
      {points.map((point) => {
        const at = pose.points[point];
        if (!at) return null;
        const [x, y] = project(camera, at);
        return (
          <circle
            key={point}
            cx={x}
            cy={y}
            r="4"
            fill="none"
            stroke="var(--ink)"
            strokeWidth="0.6"
            strokeDasharray="1.6 1"
          />
        );
      })}
    </svg>
  );
}
