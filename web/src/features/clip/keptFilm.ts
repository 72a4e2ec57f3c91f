import { BufferTarget, CanvasSource, getFirstEncodableVideoCodec, Mp4OutputFormat, Output } from "mediabunny";
import { Film } from "./film";
import type { Found } from "./finding";
import { jpeg } from "./jpeg";
import { LARGEST_KEPT_MB } from "./limits";
import { NoFilm } from "./noFilm";
import { nearest } from "./shown";

/** So well a picture is to be seen, bits; fewer where there are many. */
const BITS = 16_000;
const MOST_BITS = 0.9 * LARGEST_KEPT_MB * 1024 * 1024 * 8;

/** So many pictures are coded at once. */
const AT_ONCE = 16;

/** A swing's pictures as a film that is small enough to be kept, its clock the world's. */
export async function written(found: Found): Promise<Blob> {
  // What codes a film wants even numbers.
  const [width, height] = [found.width & ~1, found.height & ~1];
  const codec = await getFirstEncodableVideoCodec(["avc", "vp9", "av1"], { width, height });
  if (!codec) throw new NoFilm("This browser cannot write films.");
  const { times, pictures } = found;
  const first = times[0]!;
  const step = (times[times.length - 1]! - first) / (times.length - 1);
  const canvas = new OffscreenCanvas(width, height);
  const paper = canvas.getContext("2d")!;
  const output = new Output({ format: new Mp4OutputFormat(), target: new BufferTarget() });
  const source = new CanvasSource(canvas, {
    codec,
    bitrate: Math.round(Math.min(BITS, MOST_BITS / times.length) / step),
    keyFrameInterval: 0.5,
  });
  output.addVideoTrack(source);
  await output.start();
  for (const [i, picture] of pictures.entries()) {
    const bitmap = await createImageBitmap(picture);
    paper.drawImage(bitmap, 0, 0, width, height);
    bitmap.close();
    await source.add(times[i]! - first, (times[i + 1] ?? times[i]! + step) - times[i]!);
  }
  await output.finalize();
  const film = new Blob([output.target.buffer!], { type: "video/mp4" });
  if (film.size > LARGEST_KEPT_MB * 1024 * 1024)
    throw new NoFilm(`The film is larger than ${LARGEST_KEPT_MB} MB, which is too much to keep.`);
  return film;
}

/** The pictures of such a film, for the times of its clip; they are told as they come. */
export async function read(
  film: Blob,
  times: number[],
  onSome: (pictures: (Blob | undefined)[]) => void,
): Promise<(Blob | undefined)[]> {
  const opened = await Film.open(film);
  const pictures = new Array<Blob | undefined>(times.length);
  const coming: Promise<void>[] = [];
  for await (const { canvas, seconds } of opened.pictures(0, opened.facts.seconds + 1)) {
    const at = nearest(times, times[0]! + seconds);
    coming.push(jpeg(canvas).then((picture) => void (pictures[at] = picture)));
    if (coming.length % AT_ONCE !== 0) continue;
    await Promise.all(coming);
    onSome([...pictures]);
  }
  await Promise.all(coming);
  return pictures;
}
