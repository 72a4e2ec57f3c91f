import { useCallback, useEffect, useRef, useState } from "react";

const RETRY_AFTER = 3000;

export type SaveState = "saved" | "saving" | "unsaved";

/**
 * Sends a value whenever it changes: only the newest, one request at a time, again after a failure. The value first
 * given counts as saved, unless it is said to be new.
 */
export function useSaver<T, A>(value: T, send: (value: T) => Promise<A>, isNew = false) {
  // A value that comes back is another turn: while what was between is on its way, nobody knows what is stored.
  const [now, setNow] = useState({ value, turn: isNew ? 1 : 0 });
  if (now.value !== value) setNow({ value, turn: now.turn + 1 });
  const [saved, setSaved] = useState<{ turn: number; answer: A | null }>({ turn: 0, answer: null });
  const [error, setError] = useState<Error | null>(null);
  const latest = useRef(now);
  const sent = useRef(0);
  const busy = useRef(false);

  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      while (sent.current !== latest.current.turn) {
        const { value, turn } = latest.current;
        const answer = await send(value);
        sent.current = turn;
        setSaved({ turn, answer });
        setError(null);
      }
    } catch (failure) {
      setError(failure as Error);
    } finally {
      busy.current = false;
    }
  }, [send]);

  useEffect(() => {
    latest.current = now;
    void flush();
  }, [now, flush]);

  useEffect(() => {
    if (!error) return;
    const timer = setInterval(() => void flush(), RETRY_AFTER);
    window.addEventListener("online", flush);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", flush);
    };
  }, [error, flush]);

  const state: SaveState = saved.turn === now.turn ? "saved" : error ? "unsaved" : "saving";
  return { state, error, answer: saved.answer };
}
