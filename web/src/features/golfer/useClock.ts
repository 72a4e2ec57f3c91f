import { useCallback, useEffect, useRef, useState } from "react";

export const stillIsWanted = () => window.matchMedia?.("(prefers-reduced-motion: reduce)").matches ?? false;

/** A clock that runs through a movement again and again, as fast as wanted, and stands where it is put. */
export function useClock(length: number, begins: number, speed: number) {
  const [seconds, setSeconds] = useState(begins);
  const [running, setRunning] = useState(() => !stillIsWanted());
  const at = useRef(begins);
  const put = useCallback((to: number) => {
    at.current = to;
    setSeconds(to);
  }, []);
  useEffect(() => {
    if (!running || length <= 0) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      // A tab that was hidden goes on where it was.
      const passed = Math.min(0.1, (now - last) / 1000) * speed;
      last = now;
      put(at.current + passed > length ? 0 : at.current + passed);
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [running, length, speed, put]);
  const scrub = useCallback(
    (to: number) => {
      setRunning(false);
      put(Math.max(0, Math.min(length, to)));
    },
    [length, put],
  );
  return { seconds, running, setRunning, scrub };
}
