import { useState } from "react";
import type { Drill, Hand, Wire } from "@/api/types";
import { BlockGolfer } from "../golfer/lazily";
import { lookFor } from "../golfer/looks";
import type { RunBlock } from "./session";
import { OwnFilm } from "../drill/OwnFilm";
import { wrongAndRight } from "../drill/instruction";
import type { Today } from "./today";

/** The picture of the drill with what a good one is; a target as large as that where reps are counted by a tap on it. */
export function Look({
  free,
  first,
  onTap,
  today,
  block,
  drill,
}: {
  free: boolean;
  /** Before the first rep the movement is played. */
  first: boolean;
  onTap: () => void;
  today: Today;
  block: RunBlock;
  drill: Drill;
}) {
  const golfer = { drill, block, hand: today.handedness as Hand, look: lookFor(today.name, today.look) };
  if (first && !free && drill.moving) {
    return (
      <div className="grid gap-1">
        <div className="mx-auto w-full max-w-64">
          <BlockGolfer {...golfer} />
        </div>
        <p className="text-soft leading-snug">
          {block.scored ? <strong className="text-ink">Good is: {drill.good}</strong> : drill.feel}
        </p>
      </div>
    );
  }
  const look = (
    <>
      <BlockGolfer still {...golfer} />
      <span className="text-soft leading-snug">
        {block.scored ? <strong className="text-ink">Good is: {drill.good}</strong> : drill.feel}
        {free && <strong className="text-ink block">Tap anywhere here: a good one.</strong>}
      </span>
    </>
  );
  const shape = "grid grid-cols-[11rem_1fr] items-center gap-4 text-left";
  if (!free) return <div className={shape}>{look}</div>;
  return (
    <button
      type="button"
      className={`${shape} border-ink rounded-md border-2 border-dashed p-1`}
      onClick={onTap}
    >
      {look}
    </button>
  );
}

/** What the coach says of a drill and shows of it; nothing where that is left to the library. */
export function CoachSays({ words, drill }: { words?: Wire["DrillWordsView"]; drill: Drill }) {
  if (!words) return null;
  return (
    <section aria-label="From your coach" className="border-lead grid gap-2 border-l-4 pl-3">
      {words.words && <p className="whitespace-pre-line">{words.words}</p>}
      {words.film && <OwnFilm path={`/api/me/drill-words/${drill.id}/film`} label="Your coach shows it" />}
    </section>
  );
}

/** The movement, played, and in words. */
export function HowItGoes({
  first,
  drill,
  block,
  today,
}: {
  /** Before the first rep it is played above already. */
  first: boolean;
  drill: Drill;
  block: RunBlock;
  today: Today;
}) {
  const [open, setOpen] = useState(false);
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="text-soft min-h-11 cursor-pointer py-2">How it goes</summary>
      {open && drill.moving && !first && (
        <BlockGolfer
          {...{ drill, block }}
          hand={today.handedness as Hand}
          look={lookFor(today.name, today.look)}
        />
      )}
      <dl className="grid gap-2 pb-2">
        {today.words[drill.id]?.words && <Told term="Your coach says" text={today.words[drill.id]!.words} />}
        <Told term="Set-up" text={drill.setUp} />
        <Told term="Do" text={drill.action} />
        <Told term="Good rep" text={drill.good} />
        <Told term="When it goes wrong" text={wrongAndRight(drill)} />
        <Told term="Easier" text={drill.easier} />
        <Told term="Harder" text={drill.harder} />
      </dl>
    </details>
  );
}

function Told({ term, text }: { term: string; text: string }) {
  return (
    <div>
      <dt className="text-soft text-sm">{term}</dt>
      <dd>{text}</dd>
    </div>
  );
}
