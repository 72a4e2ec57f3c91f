import type { PlanBlock, Wire } from "@/api/types";

export type Entry = Wire["PracticeEntry"];
export type BlockEntry = Wire["BlockEntry"];
export type Told = Wire["ToldEntry"];
export type Ball = Wire["BallEntry"];

/**
 * A block as it is run.
 *
 * @property aside why it is done, where the day's plan does not have it
 * @property lowest whether it is the easier form, for want of a rung below
 * @property during the block that it interrupts, to be gone on with after it
 */
export type RunBlock = PlanBlock & { aside?: string; during?: number; lowest?: boolean };

export function emptyEntry(planId: string, day: string): Entry {
  return {
    planId,
    day,
    edition: 0,
    blocks: [],
    feel: undefined,
    pain: undefined,
    balls: { flight: {}, strike: {}, divot: {} },
    note: "",
    finished: false,
  };
}

/** What was done, block by block. */
export type Marked = { blocks: Pick<BlockEntry, "block" | "marks" | "noticed" | "told">[] };

export function marksOf(entry: Marked, block: number): string {
  return entry.blocks.find((b) => b.block === block)?.marks ?? "";
}

export function noticedOf(entry: Marked, block: number): string[] {
  return entry.blocks.find((b) => b.block === block)?.noticed ?? [];
}

export type Said = { speeds: number[]; club?: string; balls: Ball[]; turns: Wire["TurnEntry"][] };

/** What was told of a block so far. */
export function toldOf(entry: Marked, block: number): Said {
  const told = entry.blocks.find((b) => b.block === block)?.told;
  return {
    speeds: told?.speeds ?? [],
    club: told?.club ?? undefined,
    balls: told?.balls ?? [],
    turns: told?.turns ?? [],
  };
}

/** With these marks in the block at that place; said with what the block is, for the plan may change meanwhile. */
export function withMarks(entry: Entry, at: number, block: RunBlock, marks: string): Entry {
  return withBlock(entry, at, block, { marks });
}

/** With what was noticed in a set, counted from 0. */
export function withNoticed(entry: Entry, at: number, block: RunBlock, set: number, said: string): Entry {
  return withBlock(entry, at, block, { noticed: filledTo(noticedOf(entry, at), set, said, "") });
}

/** With how fast a set felt, percent of full. */
export function withSpeed(entry: Entry, at: number, block: RunBlock, set: number, speed: number): Entry {
  return withTold(entry, at, block, { speeds: filledTo(toldOf(entry, at).speeds, set, speed, 0) });
}

function filledTo<T>(before: T[], place: number, said: T, nothing: T): T[] {
  return Array.from({ length: Math.max(before.length, place + 1) }, (_, i) =>
    i === place ? said : (before[i] ?? nothing),
  );
}

export function withTold(entry: Entry, at: number, block: RunBlock, part: Partial<Said>): Entry {
  return withBlock(entry, at, block, { told: { ...toldOf(entry, at), ...part } });
}

function withBlock(entry: Entry, at: number, block: RunBlock, part: Partial<BlockEntry>): Entry {
  const { fault, drill, rung, kind, form, condition, aside } = block;
  const before = { marks: marksOf(entry, at), noticed: noticedOf(entry, at), told: toldOf(entry, at) };
  const others = entry.blocks.filter((b) => b.block !== at);
  const one = { block: at, fault, drill, rung, kind, form, condition, aside, ...before, ...part };
  return { ...entry, blocks: [...others, one].sort((a, b) => a.block - b.block) };
}

/** Rehearsals put in on the way, and how many of them are behind after so many reps. */
function putIn(turns: Said["turns"], rehearsals: number, done: number) {
  const at = turns.filter((t) => t.kind === "rehearse").map((t) => t.at);
  return {
    all: at.length * rehearsals,
    behind: at.reduce((sum, from) => sum + Math.max(0, Math.min(rehearsals, done - from)), 0),
    now: at.some((from) => done >= from && done < from + rehearsals),
  };
}

/** Where a session stands in a block. */
export type Place = {
  /** Reps it takes, with what was put in. */
  wanted: number;
  full: boolean;
  /** Sets done, from 0 while the first is not. */
  set: number;
  /** Reps done of the present set. */
  inSet: number;
  /** Whether the coming rep is a strike. */
  strike: boolean;
  /** Whether it is done wrong on purpose. */
  contrast: boolean;
};

/**
 * @param rehearsals put in at once where more of them were taken
 */
export function placeIn(block: RunBlock, done: number, turns: Said["turns"] = [], rehearsals = 0): Place {
  const planned = block.sets * block.repsPerSet;
  const extra = putIn(turns, rehearsals, done);
  const counted = done - extra.behind;
  return {
    wanted: planned + extra.all,
    full: done >= planned + extra.all,
    set: Math.floor(counted / block.repsPerSet),
    inSet: counted % block.repsPerSet,
    strike: !extra.now && nextIsStrike(block, counted),
    contrast: !extra.now && isContrast(block, counted),
  };
}

/** Whether the coming rep is a strike: of each set the rehearsals come in turns with their strikes. */
function nextIsStrike(block: PlanBlock, done: number): boolean {
  if (block.strikes === 0) return false;
  if (block.kind === "check") return true;
  const reps = block.sets * block.repsPerSet;
  const rounds = greatestCommon(block.strikes, reps);
  const perRound = reps / rounds;
  return done % perRound >= perRound - block.strikes / rounds;
}

const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/**
 * Whether the coming rep is done wrong on purpose, to feel the difference: so many of the rehearsals, evenly spread, the
 * last of each part; never a strike.
 */
function isContrast(block: PlanBlock, done: number): boolean {
  if (block.contrast === 0 || nextIsStrike(block, done)) return false;
  const before = Array.from({ length: done }, (_, i) => i).filter((i) => !nextIsStrike(block, i)).length;
  const rehearsals = block.sets * block.repsPerSet - block.strikes;
  const part = (reps: number) => Math.floor((reps * block.contrast) / rehearsals);
  return part(before + 1) > part(before);
}

/** The order in which blocks are done: what came on top first, then the plan's own. */
function order(blocks: RunBlock[]): number[] {
  const all = blocks.map((_, i) => i);
  return [...all.filter((i) => blocks[i]!.aside), ...all.filter((i) => !blocks[i]!.aside)];
}

/** The first block that is neither done nor stopped; the number of blocks when all are. */
export function firstOpen(blocks: RunBlock[], entry: Marked, stopped: string[]): number {
  const isOpen = (i: number) => {
    const block = blocks[i]!;
    return !stopped.includes(block.drill) && marksOf(entry, i).length < block.sets * block.repsPerSet;
  };
  return order(blocks).find(isOpen) ?? blocks.length;
}

/** The block after this one; the number of blocks where none is left. */
export function following(blocks: RunBlock[], at: number): number {
  const block = blocks[at]!;
  if (block.during !== undefined) return block.during;
  const own = blocks.map((_, i) => i).filter((i) => !blocks[i]!.aside);
  return (block.aside ? own[0] : own[own.indexOf(at) + 1]) ?? blocks.length;
}
