import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Points } from "./points";
import type { Found, Progress } from "./finding";

const BEGIN: Progress = { part: "opening", done: 0, of: 1 };
const SURE = 0.5;

/** Finds a swing in a film beside the page; what comes in is drawn on a canvas at once. */
export function useFinding() {
  const [file, setFile] = useState<File>();
  const [slower, setSlower] = useState(1);
  const [found, setFound] = useState<Found>();
  const [error, setError] = useState<Error>();
  const [progress, setProgress] = useState<Progress>(BEGIN);
  const [busy, setBusy] = useState(false);
  const running = useRef<AbortController>(undefined);
  const canvas = useMemo(() => document.createElement("canvas"), []);
  useEffect(() => () => running.current?.abort(), []);

  const find = useCallback(
    async (file: File, slower: number, which?: number, byHand = false) => {
      running.current?.abort();
      const run = new AbortController();
      running.current = run;
      setFile(file);
      setSlower(slower);
      setFound(undefined);
      setError(undefined);
      setProgress(BEGIN);
      setBusy(true);
      try {
        // What looks into films is fetched only when one is opened.
        const { findSwing } = await import("./finding");
        const next = await findSwing(
          file,
          slower,
          which,
          (p) => !run.signal.aborted && setProgress(p),
          (picture, points) => draw(canvas, picture, points),
          run.signal,
          byHand,
        );
        if (!run.signal.aborted) setFound(next);
      } catch (e) {
        if (!run.signal.aborted) setError(e instanceof Error ? e : new Error(String(e)));
      } finally {
        if (running.current === run) setBusy(false);
      }
    },
    [canvas],
  );
  return {
    found,
    error,
    progress,
    busy,
    slower,
    canvas,
    find,
    again: (slower: number, which: number | undefined) => file && find(file, slower, which, found?.byHand),
    /** The same film, with points that are set by hand. */
    byHand: () => file && find(file, slower, undefined, true),
    give: () => {
      running.current?.abort();
      setBusy(false);
    },
    forget: () => setFound(undefined),
  };
}

function draw(canvas: HTMLCanvasElement, picture: CanvasImageSource, points: Points | null) {
  const { width, height } = picture as HTMLCanvasElement;
  canvas.width = width;
  canvas.height = height;
  const paper = canvas.getContext("2d");
  if (!paper) return;
  paper.drawImage(picture, 0, 0);
  paper.fillStyle = "#fff";
  for (const [x, y, sure] of points ?? []) {
    if (sure! < SURE) continue;
    paper.beginPath();
    paper.arc(x!, y!, 3, 0, 2 * Math.PI);
    paper.fill();
  }
}
