/*
 * Codes pictures as JPEG beside the page: there a browser does it at once, on the page only when nothing else is to do,
 * which for a hundred pictures may be minutes.
 */
(() => {
  const at = self as unknown as {
    postMessage: (message: { id: number; jpeg?: Blob }) => void;
    onmessage: ((event: { data: { id: number; picture: ImageBitmap; quality: number } }) => void) | null;
  };
  at.onmessage = async ({ data: { id, picture, quality } }) => {
    try {
      const canvas = new OffscreenCanvas(picture.width, picture.height);
      canvas.getContext("2d", { willReadFrequently: true })!.drawImage(picture, 0, 0);
      picture.close();
      at.postMessage({ id, jpeg: await canvas.convertToBlob({ type: "image/jpeg", quality }) });
    } catch {
      at.postMessage({ id });
    }
  };
})();
