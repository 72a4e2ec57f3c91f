/** How well pictures are kept. */
const QUALITY = 0.8;

/** A picture of a film as it is held and kept. */
export async function jpeg(canvas: OffscreenCanvas | HTMLCanvasElement): Promise<Blob> {
  if (canvas instanceof OffscreenCanvas)
    return canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY });
  return new Promise((resolve, reject) =>
    canvas.toBlob((b) => (b ? resolve(b) : reject(new Error("no picture"))), "image/jpeg", QUALITY),
  );
}
