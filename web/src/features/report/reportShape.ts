import type { Catalogue, Drill, Hand, Lesson, PlanBlock, Progress, StoredPlan, Thread } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { sheetOf } from "../plan/sheetShape";
import { mostTold, type Series } from "../progress/threadShape";
import { bySign } from "../progress/SignsThenAndNow";
import { inOrder, told, verdictSaid } from "../progress/verdicts";
import { type Look, lookOf } from "../golfer/looks";

export type Report = {
  student: string;
  hand: Hand;
  look: Look;
  day: string;
  /** What is worked on, each with what it is in plain words. */
  faults: { name: string; what: string }[];
  practised: string;
  passed: string[];
  /** From the first lesson of the work to today; where that was not the last one. */
  whole?: { since: string; changes: { name: string; said: string }[]; gone?: string };
  /** What changed and can be told, what concerns the work first. */
  changes: { name: string; said: string }[];
  /** Said where more was measured than is listed. */
  rest?: string;
  thread?: { thread: Thread; series: Series };
  next?: {
    until: string;
    days: string;
    steps: { text: string; stopped: boolean; drill?: Drill; rung: string }[];
    before?: string;
    after?: string;
  };
  cautions: string[];
};

const MOST_CHANGES = 6;
const MOST_STEPS = 3;

/** One page for the student or a parent, from what is known of a lesson. */
export function reportOf(
  lesson: Lesson,
  progress: Progress,
  plan: StoredPlan | undefined,
  thread: Thread,
  catalogue: Catalogue,
): Report {
  const faults = lesson.focus.length > 0 ? lesson.focus : progress.worked;
  const series = thread.series.find((s) => s.id === mostTold(thread));
  const upTo = thread.knots.findIndex((k) => k.lessonId === lesson.id);
  return {
    student: lesson.studentName,
    hand: lesson.handedness as Hand,
    look: lookOf(lesson),
    day: longDay(lesson.heldOn),
    faults: faults.flatMap((id) =>
      catalogue.faults.filter((f) => f.id === id).map((f) => ({ name: f.label, what: f.what })),
    ),
    practised: practised(progress, thread.knots[(upTo < 0 ? thread.knots.length : upTo) - 1]),
    passed: progress.promised
      .filter((p) => p.standing === "passed")
      .map((p) => `${rungOf(catalogue, p.rung)}: ${catalogue.drills[p.drill]?.name ?? p.drill}`),
    whole: progress.whole && whole(progress.whole, catalogue),
    changes: telling(progress.changes, series?.id),
    rest: restOf(progress.changes, series?.id),
    thread:
      series && thread.knots.length > 0
        ? { thread: { ...thread, knots: upTo < 0 ? thread.knots : thread.knots.slice(0, upTo + 1) }, series }
        : undefined,
    next: plan && plan.plan.days.length > 0 ? next(lesson, plan, catalogue) : undefined,
    cautions: plan?.plan.cautions ?? [],
  };
}

function whole(
  { since, changes, signs }: NonNullable<Progress["whole"]>,
  catalogue: Catalogue,
): Report["whole"] {
  const gone = bySign(signs, catalogue).find((group) => group.title === "No longer seen");
  return {
    since: longDay(since),
    changes: inOrder(changes)
      .slice(0, MOST_CHANGES)
      .map((c) => ({
        name: capital(c.label),
        said: `${c.then}, now ${c.now}: ${verdictSaid(c.comparison)}.`,
      })),
    gone: gone && `${gone.title}: ${gone.labels.join("; ")}.`,
  };
}

/** What can be told, and what the thread shows whether it can be told or not. */
function telling(changes: Progress["changes"], shown?: string): Report["changes"] {
  return inOrder(changes)
    .filter((c) => told(c.comparison) || c.id === shown)
    .slice(0, MOST_CHANGES)
    .map((c) => ({ name: capital(c.label), said: c.said }));
}

function restOf(changes: Progress["changes"], shown?: string): string | undefined {
  const listed = telling(changes, shown).length;
  if (changes.length === listed) return undefined;
  // What stands there only because the thread shows it has not changed for certain.
  return changes.every((c) => !told(c.comparison))
    ? "Nothing that was measured changed by more than chance."
    : "Nothing else that was measured changed by more than chance.";
}

/** Since the lesson before; where nothing was measured in it, it is not the one that is compared with. */
function practised(progress: Progress, before: Thread["knots"][number] | undefined): string {
  const since = progress.since ?? before?.heldOn;
  const done = progress.since ? progress.done : before?.done;
  if (!since) return "This was the first lesson.";
  if (!done) return `Since ${longDay(since)} no practice was planned.`;
  const share = done.plannedReps > 0 ? ` (${Math.round((100 * done.doneReps) / done.plannedReps)} %)` : "";
  return `Since ${longDay(since)}: ${done.doneDays} of ${done.plannedDays} days, ${done.doneReps} of ${done.plannedReps} repetitions${share}.`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function rungOf(catalogue: Catalogue, id: string): string {
  return catalogue.rungs.find((r) => r.id === id)?.label ?? id;
}

function next(lesson: Lesson, plan: StoredPlan, catalogue: Catalogue): Report["next"] {
  const { days, route } = plan.plan;
  const sum = (of: (block: PlanBlock) => number) =>
    days.flatMap((d) => d.blocks).reduce((all, block) => all + of(block), 0);
  const minutes = days.reduce((all, day) => all + day.minutes, 0);
  const stopped = (id: string) => plan.stopped.some((s) => s.drill === id);
  const sheet = sheetOf(lesson, plan, catalogue);
  return {
    until: longDay(plan.nextLesson),
    days: `${days.length} days of about ${Math.round(minutes / days.length)} minutes, ${sum((b) => b.sets * b.repsPerSet)} repetitions, ${sum((b) => b.balls)} of them balls.`,
    steps: route
      .filter((step) => step.gate)
      .slice(0, MOST_STEPS)
      .map((step) => ({
        text: `${rungOf(catalogue, step.rung)}: ${catalogue.drills[step.drill]?.name ?? step.drill}`,
        stopped: stopped(step.drill),
        drill: catalogue.drills[step.drill],
        rung: step.rung,
      })),
    before: sheet.card?.before,
    after: sheet.card?.after,
  };
}
