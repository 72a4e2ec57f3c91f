import { useCallback, useRef, useState } from "react";
import { Problem } from "./client";
import { differences, merge, type Rules } from "./merge";

/** Something stored, with the version that a change of it has to name. */
export type Kept<T> = { value: T; version: number };

/**
 * Saves over the version one has seen. If it was changed meanwhile, in another window or by somebody else, nothing is
 * overwritten: both are put together, and what the others changed is told.
 */
export function useMeanwhile<T>(stored: Kept<T>, rules?: Rules) {
  const base = useRef(stored);
  const [changed, setChanged] = useState<string[]>([]);

  /** Sends once; where it was stale, hands the way to put both together to `bring` and gives null. */
  const save = useCallback(
    async <A>(
      send: (version: number) => Promise<A>,
      read: (answer: A) => Kept<T>,
      bring: (together: (mine: T) => T) => void,
    ): Promise<A | null> => {
      try {
        const answer = await send(base.current.version);
        base.current = read(answer);
        return answer;
      } catch (failure) {
        if (!(failure instanceof Problem) || !failure.isStale) throw failure;
        const before = base.current.value;
        const now = read(failure.current as A);
        base.current = now;
        setChanged((were) => [...new Set([...were, ...differences(before, now.value)])]);
        bring((mine) => merge(before, mine, now.value, rules));
        return null;
      }
    },
    [rules],
  );
  return { save, changed, seen: useCallback(() => setChanged([]), []) };
}
