/*
 * Finds a body's points in pictures, on this machine. What finds them wants a page: this worker gives it the few names of
 * one that it asks for, and lets it load its own parts.
 */

// No import: browsers take this file as a script of its own, since what it loads wants no module.
(() => {
  type ToWorker = import("./points").ToWorker;
  type FromWorker = import("./points").FromWorker;
  type Landmark = { x: number; y: number; visibility?: number };
  type Finder = {
    setOptions: (options: object) => void;
    onResults: (told: (results: { poseLandmarks?: Landmark[] }) => void) => void;
    initialize: () => Promise<void>;
    send: (input: { image: ImageBitmap }, milliseconds: number) => Promise<void>;
    reset: () => void;
  };

  const at = self as unknown as {
    window: unknown;
    document: unknown;
    importScripts: (address: string) => void;
    Pose: new (config: { locateFile: (file: string) => string }) => Finder;
    postMessage: (message: FromWorker) => void;
    onmessage: ((event: { data: ToWorker }) => void) | null;
  };

  /** Of the landmarks found, those that a swing is read from, in the order of POINTS. */
  const WANTED = [0, 7, 8, 11, 12, 13, 14, 15, 16, 23, 24, 25, 26, 27, 28, 29, 30, 31, 32];

  type Listener = () => void;

  /** An element that is a script or a canvas. */
  function element(tag: string): unknown {
    if (tag === "canvas") return new OffscreenCanvas(1, 1);
    const listeners: Record<string, Listener> = {};
    return {
      tagName: tag,
      src: "",
      setAttribute(name: string, value: string) {
        Object.assign(this, { [name]: value });
      },
      addEventListener(name: string, listener: Listener) {
        listeners[name] = listener;
      },
      listeners,
    };
  }

  function pretendAPage() {
    at.window = self;
    at.document = {
      createElement: element,
      addEventListener: () => {},
      body: {
        appendChild(script: { src: string; listeners: Record<string, Listener> }) {
          try {
            at.importScripts(script.src);
            script.listeners.load?.();
          } catch {
            script.listeners.error?.();
          }
        },
      },
    };
  }

  let finder: Finder | undefined;
  let found: Landmark[] | undefined;

  async function begin(base: string) {
    pretendAPage();
    at.importScripts(`${base}pose.js`);
    finder = new at.Pose({ locateFile: (file) => base + file });
    finder.setOptions({
      modelComplexity: 1,
      useCpuInference: true,
      smoothLandmarks: false,
      enableSegmentation: false,
      minDetectionConfidence: 0.5,
      minTrackingConfidence: 0.5,
      selfieMode: false,
    });
    finder.onResults((results) => (found = results.poseLandmarks));
    await finder.initialize();
    finder.reset();
  }

  async function find(picture: ImageBitmap, milliseconds: number): Promise<number[][] | null> {
    found = undefined;
    // A time is always given: without one two runs over the same film differ.
    await finder!.send({ image: picture }, milliseconds + 1);
    const { width, height } = picture;
    picture.close();
    return (
      ((found as Landmark[] | undefined) &&
        WANTED.map((i) => {
          const point = found![i]!;
          return [point.x * width, point.y * height, Math.max(0, Math.min(1, point.visibility ?? 0))];
        })) ??
      null
    );
  }

  let queue: Promise<unknown> = Promise.resolve();

  at.onmessage = ({ data }) => {
    queue = queue.then(async () => {
      try {
        if (data.kind === "begin") {
          await begin(data.base);
          at.postMessage({ kind: "ready" });
        } else {
          at.postMessage({
            kind: "found",
            index: data.index,
            points: await find(data.picture, data.milliseconds),
          });
        }
      } catch (e) {
        at.postMessage({ kind: "failed", why: String(e) });
      }
    });
  };
})();
