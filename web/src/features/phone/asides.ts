import type { Catalogue, Me } from "@/api/types";
import { daysBetween } from "@/calendar/dates";
import type { Entry, RunBlock } from "./session";

const SET = 5;
const SETS_OF_TEN = 2;
const SHORT_REST = 20;

/** Ten scored reps of a block before anything else. */
function tenOf(main: RunBlock): RunBlock {
  return {
    ...main,
    kind: "check",
    sets: SETS_OF_TEN,
    repsPerSet: SET,
    restSeconds: SHORT_REST,
    strikes: main.strikes > 0 ? SETS_OF_TEN * SET : 0,
    balls: main.balls > 0 ? SETS_OF_TEN * SET : 0,
    scored: true,
    contrast: 0,
    harder: false,
    condition: undefined,
    conditionLabel: undefined,
    conditionDo: undefined,
    aside: "first-ten",
  };
}

/** The first ten that a day begins with after a gap; nothing without one, or without anything practised before. */
export function firstTen(
  blocks: RunBlock[],
  practised: string[],
  date: string,
  stopped: string[],
  gapDays: number,
): RunBlock | undefined {
  const last = practised
    .filter((day) => day < date)
    .sort()
    .at(-1);
  if (!last || daysBetween(last, date) < gapDays) return undefined;
  const main = blocks.find((b) => b.kind === "main" && !stopped.includes(b.drill));
  return main && tenOf(main);
}

/** One set on the rung below, for a movement that was lost; on the lowest the easier form of the same. */
export function below(block: RunBlock, at: number, catalogue: Catalogue): RunBlock {
  const drill = catalogue.drills[block.drill];
  const place = catalogue.rungs.findIndex((r) => r.id === block.rung);
  const lower = catalogue.rungs
    .slice(0, place)
    .filter((r) => drill?.variations[r.id])
    .at(-1);
  const rung = lower ?? catalogue.rungs[place]!;
  const withBall = rung.balls > 0;
  return {
    ...block,
    rung: rung.id,
    kind: "refresh",
    sets: 1,
    repsPerSet: withBall ? rung.rehearsals + rung.balls : SET,
    strikes: withBall ? rung.balls : 0,
    balls: withBall && block.balls > 0 ? rung.balls : 0,
    form: withBall ? block.form : "none",
    speed: drill?.speeds[rung.id] ?? block.speed,
    scored: false,
    contrast: 0,
    harder: false,
    condition: undefined,
    conditionLabel: undefined,
    conditionDo: undefined,
    aside: "below",
    lowest: !lower,
    during: at,
  };
}

/** What came on top of a day's blocks on another phone, made again from what was done of it. */
export function asidesOf(blocks: Me["sessions"][number]["blocks"] | Entry["blocks"], planned: RunBlock[]) {
  return blocks.flatMap((done): RunBlock[] => {
    if (!done.aside) return [];
    const like = planned.find((b) => b.fault === done.fault && b.kind === "main") ?? planned[0];
    if (!like) return [];
    const { drill, rung, kind, form, aside } = done;
    const same = { drill, rung, kind, form: form ?? "none", aside };
    const lowest = aside === "below" && rung === like.rung;
    return [
      aside === "first-ten"
        ? { ...tenOf(like), ...same }
        : { ...like, sets: 1, repsPerSet: SET, ...same, lowest },
    ];
  });
}
