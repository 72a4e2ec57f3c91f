/** The points of a body that a swing is read from, in the order in which they are told. */
export const POINTS = [
  "nose",
  "left-ear",
  "right-ear",
  "left-shoulder",
  "right-shoulder",
  "left-elbow",
  "right-elbow",
  "left-wrist",
  "right-wrist",
  "left-hip",
  "right-hip",
  "left-knee",
  "right-knee",
  "left-ankle",
  "right-ankle",
  "left-heel",
  "right-heel",
  "left-toe",
  "right-toe",
] as const;

export type PointName = (typeof POINTS)[number];

/** For each point across and down in pixels, and how sure it is, 0 to 1. */
export type Points = number[][];

export type ToWorker =
  | { kind: "begin"; base: string }
  | { kind: "find"; index: number; picture: ImageBitmap; milliseconds: number };

export type FromWorker =
  | { kind: "ready" }
  | { kind: "found"; index: number; points: Points | null }
  | { kind: "failed"; why: string };

/** What finds points does not run in this browser, or stopped. */
export class NotHere extends Error {}

/** Finds points in pictures, one after the other, beside the page. */
export class PointFinder {
  private readonly worker = new Worker(new URL("./points.worker.ts", import.meta.url));
  private readonly waiting = new Map<number, (points: Points | null) => void>();
  private failed: ((why: Error) => void)[] = [];
  private readonly ready: Promise<void>;

  constructor() {
    this.ready = new Promise((resolve, reject) => {
      this.failed.push(reject);
      this.worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
        if (data.kind === "ready") resolve();
        else if (data.kind === "failed") this.fail(new NotHere(data.why));
        else {
          this.waiting.get(data.index)?.(data.points);
          this.waiting.delete(data.index);
        }
      };
      this.worker.onerror = (e) => this.fail(new NotHere(e.message));
    });
    // Whoever waits for it hears of it.
    this.ready.catch(() => {});
    this.post({ kind: "begin", base: new URL("/pose/", location.href).href });
  }

  private post(message: ToWorker, transfer: Transferable[] = []) {
    this.worker.postMessage(message, transfer);
  }

  private fail(why: Error) {
    this.failed.forEach((tell) => tell(why));
    this.failed = [];
  }

  /** Null where nobody is to be seen. */
  async find(index: number, picture: ImageBitmap, milliseconds: number): Promise<Points | null> {
    await this.ready;
    return new Promise((resolve, reject) => {
      this.failed.push(reject);
      this.waiting.set(index, resolve);
      this.post({ kind: "find", index, picture, milliseconds }, [picture]);
    });
  }

  close() {
    this.worker.terminate();
    this.fail(new DOMException("given up", "AbortError"));
  }
}
