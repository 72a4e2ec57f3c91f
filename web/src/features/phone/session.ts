import type { PlanBlock, Wire } from "@/api/types";

export type Entry = Wire["PracticeEntry"];

/** A random identifier; also where the page is not served securely and the browser offers no such call. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, "0")).join("");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

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
export type Marked = Pick<Entry, "blocks">;

export function marksOf(entry: Marked, block: number): string {
  return entry.blocks.find((b) => b.block === block)?.marks ?? "";
}

/** With these marks in the block at that place; said with what the block is, for the plan may change meanwhile. */
export function withMarks(entry: Entry, at: number, block: PlanBlock, marks: string): Entry {
  return withBlock(entry, at, block, { marks });
}

export function noticedOf(entry: Entry, block: number): string[] {
  return entry.blocks.find((b) => b.block === block)?.noticed ?? [];
}

/** With what was noticed in a set, counted from 0. */
export function withNoticed(entry: Entry, at: number, block: PlanBlock, set: number, said: string): Entry {
  const before = noticedOf(entry, at);
  const noticed = Array.from({ length: Math.max(before.length, set + 1) }, (_, i) =>
    i === set ? said : (before[i] ?? ""),
  );
  return withBlock(entry, at, block, { noticed });
}

function withBlock(
  entry: Entry,
  at: number,
  block: PlanBlock,
  part: { marks?: string; noticed?: string[] },
): Entry {
  const { fault, drill, rung, kind, form, condition } = block;
  const before = { marks: marksOf(entry, at), noticed: noticedOf(entry, at) };
  const others = entry.blocks.filter((b) => b.block !== at);
  const one = { block: at, fault, drill, rung, kind, form, condition, ...before, ...part };
  return { ...entry, blocks: [...others, one].sort((a, b) => a.block - b.block) };
}

/** Reps a block asks for. */
export function wanted(block: PlanBlock): number {
  return block.sets * block.repsPerSet;
}

/** The first block that is neither done nor stopped; the number of blocks when all are. */
export function firstOpen(blocks: PlanBlock[], entry: Marked, stopped: string[]): number {
  const open = blocks.findIndex((b, i) => !stopped.includes(b.drill) && marksOf(entry, i).length < wanted(b));
  return open < 0 ? blocks.length : open;
}

/** Whether the coming rep is a strike: of each set the rehearsals come in turns with their strikes. */
export function nextIsStrike(block: PlanBlock, done: number): boolean {
  if (block.strikes === 0) return false;
  if (block.kind === "check") return true;
  const rounds = greatestCommon(block.strikes, wanted(block));
  const perRound = wanted(block) / rounds;
  return done % perRound >= perRound - block.strikes / rounds;
}

const greatestCommon = (a: number, b: number): number => (b === 0 ? a : greatestCommon(b, a % b));

/** Whether the coming rep is done wrong on purpose, to feel the difference: so many, evenly spread, the last of each part. */
export function isContrast(block: PlanBlock, done: number): boolean {
  const part = (reps: number) => Math.floor((reps * block.contrast) / wanted(block));
  return part(done + 1) > part(done);
}

/** Whether the rep just done closed a set that is followed by a rest. */
export function endsSet(block: PlanBlock, done: number): boolean {
  return done > 0 && done % block.repsPerSet === 0 && done < wanted(block);
}
