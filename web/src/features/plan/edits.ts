import type { PlanBlock, StoredPlan } from "@/api/types";

export type Terms = StoredPlan["terms"];
export type Edits = NonNullable<Terms["edits"]>;

const NONE: Edits = { locked: [], dropped: [], chosen: [], skipped: [] };

export const editsOf = (terms: Terms): Edits => terms.edits ?? NONE;

/** How many decisions of the coach are in it. */
export function countOf(terms: Terms): number {
  const { locked, dropped, chosen, skipped, shortSets = [], joined = [] } = editsOf(terms);
  const edits = [locked, dropped, chosen, skipped, shortSets, joined].reduce(
    (sum, list) => sum + list.length,
    0,
  );
  return edits + (terms.week ? 1 : 0) + (terms.firstFaultOnly ? 1 : 0) + (terms.smaller ? 1 : 0);
}

const withEdits = (terms: Terms, edits: Partial<Edits>): Terms => ({
  ...terms,
  edits: { ...editsOf(terms), ...edits },
});

/** A day may hold several blocks of one fault: its rung tells which is meant; without one, as once stored, each is. */
type At = { date: string; fault: string; kind: string; rung?: string };
const same = (a: At, b: At) =>
  a.date === b.date && a.fault === b.fault && a.kind === b.kind && (!a.rung || !b.rung || a.rung === b.rung);

/** The block stays on this day with so many sets. */
export function locked(terms: Terms, date: string, block: PlanBlock, sets = block.sets): Terms {
  const { fault, rung, drill, kind, repsPerSet } = block;
  const entry = { date, fault, rung, drill, kind, sets, repsPerSet };
  const edits = editsOf(terms);
  return withEdits(terms, {
    locked: [...edits.locked.filter((l) => !same(l, entry)), entry],
    dropped: edits.dropped.filter((d) => !same(d, entry)),
  });
}

/** The planner may lay this day's block again. */
export function unlocked(terms: Terms, date: string, block: PlanBlock): Terms {
  const edits = editsOf(terms);
  return withEdits(terms, { locked: edits.locked.filter((l) => !same(l, { ...block, date })) });
}

/** The day goes without this block. */
export function dropped(terms: Terms, date: string, block: PlanBlock): Terms {
  const { fault, rung, kind } = block;
  const open = unlocked(terms, date, block);
  const edits = editsOf(open);
  const entry = { date, fault, rung, kind };
  return withEdits(open, { dropped: [...edits.dropped.filter((d) => !same(d, entry)), entry] });
}

/** The block goes from one day to another, and the first one does without it. */
export function moved(terms: Terms, from: string, block: PlanBlock, to: string): Terms {
  return from === to ? terms : locked(dropped(terms, from, block), to, block);
}

/** Another drill for a rung. */
export function chose(terms: Terms, fault: string, rung: string, drill: string): Terms {
  const edits = editsOf(terms);
  return withEdits(terms, {
    chosen: [...edits.chosen.filter((c) => c.fault !== fault || c.rung !== rung), { fault, rung, drill }],
    // A block locked with the old drill would keep it, and what went along with that need not go with this one.
    locked: edits.locked.filter((l) => l.fault !== fault || l.rung !== rung),
    joined: (edits.joined ?? []).filter((j) => j.fault !== fault || j.rung !== rung),
  });
}

/** A second drill done at once with that of a rung; none has it alone, whatever would join by itself. */
export function joined(terms: Terms, fault: string, rung: string, drill: string): Terms {
  const others = (editsOf(terms).joined ?? []).filter((j) => j.fault !== fault || j.rung !== rung);
  return withEdits(terms, { joined: [...others, { fault, rung, drill }] });
}

/** The route does without a rung. */
export function skipped(terms: Terms, fault: string, rung: string): Terms {
  const edits = editsOf(terms);
  return withEdits(terms, {
    skipped: [...edits.skipped.filter((s) => s.fault !== fault || s.rung !== rung), { fault, rung }],
    locked: edits.locked.filter((l) => l.fault !== fault || l.rung !== rung),
  });
}

/** As the planner would have it after what was practised, in the same days. */
export function planners(terms: Terms): Terms {
  const { ahead, easier, instead } = editsOf(terms);
  const edits = { ...NONE, ahead, easier, instead };
  return { ...terms, week: undefined, firstFaultOnly: false, smaller: false, edits };
}
