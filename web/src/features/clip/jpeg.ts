type Made = (jpeg: Blob | undefined) => void;

/** How well pictures are kept. */
const QUALITY = 0.8;

let worker: Worker | undefined;
let asked = 0;
const waiting = new Map<number, Made>();

/** A picture of a film as it is held and kept. */
export async function jpeg(canvas: OffscreenCanvas | HTMLCanvasElement): Promise<Blob> {
  return (await beside(canvas)) ?? here(canvas);
}

/** Undefined where no worker can draw. */
async function beside(canvas: OffscreenCanvas | HTMLCanvasElement): Promise<Blob | undefined> {
  if (typeof Worker === "undefined" || typeof OffscreenCanvas === "undefined") return undefined;
  worker ??= begun();
  const picture = await createImageBitmap(canvas);
  const id = ++asked;
  return new Promise((made: Made) => {
    waiting.set(id, made);
    worker!.postMessage({ id, picture, quality: QUALITY }, [picture]);
  });
}

function begun(): Worker {
  const worker = new Worker(new URL("./jpeg.worker.ts", import.meta.url));
  worker.onmessage = ({ data }: MessageEvent<{ id: number; jpeg?: Blob }>) => {
    waiting.get(data.id)?.(data.jpeg);
    waiting.delete(data.id);
  };
  worker.onerror = () => {
    waiting.forEach((made) => made(undefined));
    waiting.clear();
  };
  return worker;
}

function here(canvas: OffscreenCanvas | HTMLCanvasElement): Promise<Blob> {
  if ("convertToBlob" in canvas) return canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY });
  return new Promise((resolve, reject) =>
    canvas.toBlob((b) => (b ? resolve(b) : reject(new Error("no picture"))), "image/jpeg", QUALITY),
  );
}
