import type { Catalogue, Drill, Lesson, Plan, PlanBlock, PlanDay, StoredPlan } from "@/api/types";
import { daysBetween, shortDay } from "@/calendar/dates";
import { atOnce, instruction, nameOf } from "../drill/instruction";
import { type Look, lookOf } from "../golfer/looks";
import { dose, halfStepOf, howLong, ofARound, speedOf } from "./dose";
import { isStopped } from "./stopped";

/** The plan on paper, in words: the same for the page, the printer and the file. */
export type Sheet = {
  student: string;
  look: Look;
  focus: string;
  nextLesson: string;
  weeks: SheetDay[][];
  cautions: string[];
  /** Drills stopped for pain, by id: nobody is shown how they go. */
  stopped: string[];
  /** What the coach says of drills, by drill. */
  words: Record<string, string>;
  card?: CueCard;
};

/** A practice day: the picture of its main drill and a line per block. */
export type SheetDay = {
  date: string;
  when: string;
  where: string;
  drill?: Drill;
  rung?: string;
  lines: SheetLine[];
};

/**
 * @property boxes one per set; for a check one per rep
 * @property stopped because it hurt: crossed out, with nothing to tick
 */
export type SheetLine = { text: string; boxes: number; scored: boolean; hint?: string; stopped: boolean };

/** What coach and student say of drills in their own words, by drill. */
export type Own = { words: Record<string, { words: string }>; cues: Record<string, string> };

const LIBRARY: Own = { words: {}, cues: {} };

export function sheetOf(lesson: Lesson, stored: StoredPlan, catalogue: Catalogue, own: Own = LIBRARY): Sheet {
  const { plan, from, nextLesson } = stored;
  const fault = (f: string) => catalogue.faults.find((x) => x.id === f)?.label ?? f;
  return {
    student: lesson.studentName,
    look: lookOf(lesson),
    focus: lesson.focus.map(fault).join(", then "),
    nextLesson,
    weeks: weeksOf(plan, from).map((days) => days.map((day) => sheetDay(day, stored, catalogue, own))),
    cautions: plan.cautions,
    stopped: stored.stopped.map((s) => s.drill),
    words: Object.fromEntries(Object.entries(own.words).map(([drill, { words }]) => [drill, words])),
    card: cueCard(stored, catalogue),
  };
}

function sheetDay(day: PlanDay, stored: StoredPlan, catalogue: Catalogue, own: Own): SheetDay {
  const place = catalogue.places.find((p) => p.id === day.place)?.label.toLowerCase();
  const mains = day.blocks.filter((b) => b.kind === "main");
  const main = mains.find((b) => !isStopped(stored, b.drill, day.date)) ?? mains[0];
  return {
    date: day.date,
    when: shortDay(day.date),
    where: `${place}, ${howLong(day)}`,
    drill: main && catalogue.drills[main.drill],
    rung: main?.rung,
    lines: day.blocks.map((block) => {
      const drill = catalogue.drills[block.drill];
      const rung = catalogue.rungs.find((r) => r.id === block.rung)?.label.toLowerCase();
      const scored = block.kind === "check";
      const stopped = isStopped(stored, block.drill, day.date);
      return {
        text: `${nameOf(block, catalogue)}, ${rung}: ${dose(block)}${block.kind === "try" ? ", a try that does not count" : ""}`,
        boxes: stopped ? 0 : scored ? SCORED : block.sets,
        scored: scored && !stopped,
        stopped,
        hint:
          (block.kind === "main" || ofARound(block)) && !stopped
            ? [
                !ofARound(block) && instruction(drill, block),
                atOnce(block, catalogue),
                halfStepOf(block),
                speedOf(block) && `At ${speedOf(block)}.`,
                `Think: ${block.cue.toLowerCase()}.`,
                block.cue === drill?.cue && own.cues[block.drill] && `Your words: ${own.cues[block.drill]}.`,
              ]
                .filter(Boolean)
                .join(" ")
            : undefined,
      };
    }),
  };
}

export const STOPPED = "stopped for pain: leave it out";

/** Reps in a scored set. */
export const SCORED = 10;

/** The days in weeks counted from the plan's first day: one page each. */
export function weeksOf(plan: Plan, from: string): PlanDay[][] {
  const weeks: PlanDay[][] = [];
  for (const day of plan.days) {
    const week = Math.floor(daysBetween(from, day.date) / 7);
    (weeks[week] ??= []).push(day);
  }
  return weeks.filter(Boolean);
}

const EVERY = 10;
const servesEveryFault = (drill: Drill) => drill.main.length === 0 && drill.helps.length > EVERY;

/** What goes in the pocket: one thing before the shot, one after a bad one. */
export type CueCard = { before: string; after: string; drill?: string };

/**
 * The thought of the round that comes next; without one, that of the drill nearest to the game which needs nothing
 * underfoot. On a day, only of what has come by then.
 */
export function cueCard(
  { plan, stopped }: StoredPlan,
  catalogue: Catalogue,
  today?: string,
): CueCard | undefined {
  const first = plan.route[0]?.fault;
  const rung = (id: string) => catalogue.rungs.findIndex((r) => r.id === id);
  const may = (b: PlanBlock) => catalogue.drills[b.drill] && !stopped.some((s) => s.drill === b.drill);
  const worked = plan.days
    .filter((d) => !today || d.date <= today || d.date === plan.days[0]?.date)
    .flatMap((d) => d.blocks)
    .filter((b) => b.kind === "main" && b.fault === first && may(b))
    .sort((a, b) => rung(b.rung) - rung(a.rung));
  // The bridge to the game has no thought of its own: it carries the last drill's.
  const own = worked.filter((b) => !servesEveryFault(catalogue.drills[b.drill]!));
  const rounds = plan.days.filter((d) => d.place === "course" && (!today || d.date >= today));
  const round = rounds.flatMap((d) => d.blocks).find((b) => b.balls > 0 && may(b));
  const bare = own.find((b) => catalogue.drills[b.drill]?.bare);
  const block = bare ?? own[0] ?? worked[0] ?? round;
  const thought = round && Object.values(catalogue.drills).find((d) => d.cue === round.cue);
  const drill = thought ?? (block && catalogue.drills[block.drill]);
  return (
    drill && {
      before: round?.cue ?? drill.cue,
      drill: drill.id,
      after: `one rehearsal of ${drill.name.toLowerCase()}, nothing else. ${drill.feel}`,
    }
  );
}

/** A drill on a rung that is drawn in movement. */
export type Shown = { drill: Drill; rung: string };

/** The drills of a sheet that may be done, each once, on the rung it is done on first. */
export function shownOn(sheet: Pick<Sheet, "weeks" | "stopped">): Shown[] {
  const shown = new Map<string, Shown>();
  for (const { drill, rung } of sheet.weeks.flat()) {
    if (drill?.moving && rung && !sheet.stopped.includes(drill.id) && !shown.has(drill.id))
      shown.set(drill.id, { drill, rung });
  }
  return [...shown.values()];
}
