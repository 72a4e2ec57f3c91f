/** How a session may go on without hands; each is off until wanted, and asked for on this phone only. */
export type HandsFree = { beat: boolean; tap: boolean; sound: boolean; release: boolean };

const KEY = "hodegon-hands-free";
export const NONE: HandsFree = { beat: false, tap: false, sound: false, release: false };

export function wanted(): HandsFree {
  try {
    const kept = { ...NONE, ...(JSON.parse(localStorage.getItem(KEY) ?? "{}") as Partial<HandsFree>) };
    return kept.beat && listens(kept) ? { ...kept, beat: false } : kept;
  } catch {
    return NONE;
  }
}

const listens = (all: HandsFree) => all.sound || all.release;

/** One more or one less of them: what listens would count the beat, so the later wish ends the earlier one. */
export function wish(all: HandsFree, change: Partial<HandsFree>): HandsFree {
  const next = { ...all, ...change };
  if (!next.beat || !listens(next)) return next;
  return change.beat ? { ...next, sound: false, release: false } : { ...next, beat: false };
}

export function want(all: HandsFree) {
  localStorage.setItem(KEY, JSON.stringify(all));
}

/** A student's own times, ms. */
export type Tempo = { backswing: number; downswing: number };

/** Silence between two swings of a beat, ms. */
const BETWEEN = 5000;

/** When a beat sounds, ms from its beginning: start, top, strike; and after how long it begins again. */
export function beatOf(tempo: Tempo): { at: number[]; every: number } {
  const strike = tempo.backswing + tempo.downswing;
  return { at: [0, tempo.backswing, strike], every: strike + BETWEEN };
}

/** Released so long before the strike, the lead arm was not yet level, ms. */
const ARM_TO_STRIKE = 100;

/** What a timed release answers to a drill's question about its sound. */
export function answerFor(ms: number | null): string {
  if (ms === null) return "silent";
  return ms >= ARM_TO_STRIKE ? "before-level" : "later";
}
