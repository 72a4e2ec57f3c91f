import { useCallback, useState } from "react";
import { Problem } from "./client";
import { differences, merge, type Rules } from "./merge";

/**
 * Something stored, with the version that a change of it has to name, and the names of the last saves in it where the
 * server keeps them.
 */
export type Kept<T> = { value: T; version: number; saves?: string[] };

/** What a change is based on, and what was sent since without an answer: it may have arrived all the same. */
export type Position<T> = { base: Kept<T>; tried: { save: string; value: T }[] };

const TRIED_KEPT = 20;

export function newSave(): string {
  return Math.random().toString(36).slice(2, 14);
}

/** Puts a change together with what is stored now; an attempt of one's own that got through is no change of others. */
export function together<T>(position: Position<T>, mine: T, now: Kept<T>, rules?: Rules): T {
  return merge(reached(position, now), mine, now.value, rules);
}

/** The last state of one's own that is in what is stored now. */
function reached<T>({ base, tried }: Position<T>, now: Kept<T>): T {
  const through = tried.filter((one) => now.saves?.includes(one.save));
  return through.at(-1)?.value ?? base.value;
}

/** Saves over the version it has seen; `tell` hears what others changed. */
class Keeper<T> {
  position: Position<T>;

  constructor(
    stored: Kept<T>,
    private readonly rules: Rules | undefined,
    private readonly tell: (changed: string[]) => void,
  ) {
    this.position = { base: stored, tried: [] };
  }

  /** Sends `mine` once; where it was stale, hands the way to put both together to `bring` and gives null. */
  readonly save = async <A>(
    mine: T,
    send: (version: number, save: string) => Promise<A>,
    read: (answer: A) => Kept<T>,
    bring: (together: (mine: T) => T) => void,
  ): Promise<A | null> => {
    const { base, tried } = this.position;
    const save = newSave();
    this.position = { base, tried: [...tried, { save, value: mine }].slice(-TRIED_KEPT) };
    try {
      const answer = await send(base.version, save);
      this.position = { base: read(answer), tried: [] };
      return answer;
    } catch (failure) {
      if (!(failure instanceof Problem) || !failure.isStale) throw failure;
      const before = this.position;
      const now = read(failure.current as A);
      this.position = { base: now, tried: [] };
      this.tell(differences(reached(before, now), now.value));
      bring((mine) => together(before, mine, now, this.rules));
      return null;
    }
  };
}

/**
 * Saves over the version one has seen. If it was changed meanwhile, in another window or by somebody else, nothing is
 * overwritten: both are put together, and what the others changed is told.
 */
export function useMeanwhile<T>(stored: Kept<T>, rules?: Rules) {
  const [changed, setChanged] = useState<string[]>([]);
  const [keeper] = useState(
    () => new Keeper(stored, rules, (paths) => setChanged((were) => [...new Set([...were, ...paths])])),
  );
  return {
    save: keeper.save,
    changed,
    seen: useCallback(() => setChanged([]), []),
    position: useCallback(() => keeper.position, [keeper]),
  };
}
