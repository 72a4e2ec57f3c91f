import { BufferTarget, CanvasSource, getFirstEncodableVideoCodec, Mp4OutputFormat, Output } from "mediabunny";
import { Film } from "./film";
import type { Found } from "./finding";
import { jpeg } from "./jpeg";
import { LARGEST_KEPT_MB, LONGEST_KEPT_SECONDS } from "./limits";
import { NoFilm } from "./noFilm";
import { nearest } from "./shown";

/** So well a picture is to be seen, bits; fewer where there are many. */
const BITS = 16_000;
const MOST_BITS = 0.9 * LARGEST_KEPT_MB * 1024 * 1024 * 8;

/** A film that is only looked at has no more. */
const PICTURES_A_SECOND = 30;

/** So many pictures are coded at once. */
const AT_ONCE = 16;

/** One picture of a film: what it shows, when it begins, and how long it stands, s. */
type Shown = { picture: CanvasImageSource; at: number; lasts: number };

/** A swing's pictures as a film that is small enough to be kept, its clock the world's. */
export function written({ times, pictures, width, height }: Found): Promise<Blob> {
  const first = times[0]!;
  const step = (times[times.length - 1]! - first) / (times.length - 1);
  async function* shown() {
    for (const [i, picture] of pictures.entries()) {
      const bitmap = await createImageBitmap(picture);
      yield {
        picture: bitmap,
        at: times[i]! - first,
        lasts: (times[i + 1] ?? times[i]! + step) - times[i]!,
      };
      bitmap.close();
    }
  }
  return coded({ width, height }, times.length, step, shown());
}

/** A short film as it is, small enough to be kept: with as many pictures as the eye needs. */
export async function shortened(file: Blob): Promise<Blob> {
  const film = await Film.open(file);
  const { seconds, rate } = film.facts;
  if (seconds > LONGEST_KEPT_SECONDS)
    throw new NoFilm(`The film is longer than ${LONGEST_KEPT_SECONDS} s: cut it to the movement.`);
  const step = Math.max(1 / PICTURES_A_SECOND, 1 / rate);
  async function* shown() {
    let next = 0;
    for await (const { canvas, seconds: at } of film.pictures(0, seconds + 1)) {
      if (at < next - step / 4) continue;
      yield { picture: canvas, at: Math.max(next, at), lasts: step };
      next = Math.max(next, at) + step;
    }
  }
  return coded(film.size, Math.ceil(seconds / step), step, shown());
}

async function coded(
  size: { width: number; height: number },
  count: number,
  step: number,
  shown: AsyncIterable<Shown>,
): Promise<Blob> {
  // What codes a film wants even numbers.
  const [width, height] = [size.width & ~1, size.height & ~1];
  const codec = await getFirstEncodableVideoCodec(["avc", "vp9", "av1"], { width, height });
  if (!codec) throw new NoFilm("This browser cannot write films.");
  const canvas = new OffscreenCanvas(width, height);
  const paper = canvas.getContext("2d")!;
  const output = new Output({ format: new Mp4OutputFormat(), target: new BufferTarget() });
  const source = new CanvasSource(canvas, {
    codec,
    bitrate: Math.round(Math.min(BITS, MOST_BITS / count) / step),
    keyFrameInterval: 0.5,
  });
  output.addVideoTrack(source);
  await output.start();
  for await (const { picture, at, lasts } of shown) {
    paper.drawImage(picture, 0, 0, width, height);
    await source.add(at, lasts);
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
