import { useCallback, useEffect, useRef, useState } from "react";

const RETRY_AFTER = 3000;

export type SaveState = "saved" | "saving" | "unsaved";

/**
 * Sends a value whenever it changes: only the newest, one request at a time, again after a failure. The value first
 * given counts as saved, unless it is said to be new.
 */
export function useSaver<T, A>(value: T, send: (value: T) => Promise<A>, isNew = false) {
  const [saved, setSaved] = useState<{ value: T | null; answer: A | null }>({
    value: isNew ? null : value,
    answer: null,
  });
  const [error, setError] = useState<Error | null>(null);
  const latest = useRef(value);
  const sent = useRef<T | null>(isNew ? null : value);
  const busy = useRef(false);

  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      while (sent.current !== latest.current) {
        const sending = latest.current;
        const answer = await send(sending);
        sent.current = sending;
        setSaved({ value: sending, answer });
        setError(null);
      }
    } catch (failure) {
      setError(failure as Error);
    } finally {
      busy.current = false;
    }
  }, [send]);

  useEffect(() => {
    latest.current = value;
    void flush();
  }, [value, flush]);

  useEffect(() => {
    if (!error) return;
    const timer = setInterval(() => void flush(), RETRY_AFTER);
    window.addEventListener("online", flush);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", flush);
    };
  }, [error, flush]);

  const state: SaveState = saved.value === value ? "saved" : error ? "unsaved" : "saving";
  return { state, error, answer: saved.answer };
}
