import { Film, type Turned } from "./film";
import { jpeg } from "./jpeg";
import { difference, type Stretch, swingsIn, worthALook } from "./looking";
import { NoFilm, NotFound } from "./noFilm";
import { NotHere, PointFinder, type Points } from "./points";
import { turnToStand } from "./seen";
import type { FilmSound } from "./strike";

/** A swing whose points were found, and its pictures, on this machine only. */
export type Found = {
  /** No two are the same. */
  id: number;
  name: string;
  /** The film lay on its side or head, and was turned with the clock by so much, degrees. */
  turned: Turned;
  /** Seconds as the world's clock has them. */
  times: number[];
  frames: (Points | null)[];
  pictures: Blob[];
  width: number;
  height: number;
  /** Pictures a second of the film, as the world's clock has them. */
  rate: number;
  /** Nothing looked for points: they are set by hand. */
  byHand: boolean;
  /** Undefined where there is none, or where the film's clock is not the world's. */
  sound?: FilmSound;
  /** All swings of the film; this is one of them. */
  swings: Stretch[];
  swing: number;
};

/** @param left seconds that it will take yet; undefined while nobody knows */
export type Progress = { part: "opening" | "searching" | "finding"; done: number; of: number; left?: number };

/** Films up to this long are one swing, seconds. */
const ONE_SWING = 4.5;
const SMALL = 72;
/** The first picture is looked at so often before it counts: what finds points is unsure at first. */
const WARM_UP = 3;

/** A golfer seen in fewer pictures than that is nobody. */
const FEWEST = 5;

export class GivenUp extends Error {}

let number = 0;

/**
 * Finds the points of one swing in a film; nothing of it leaves this machine.
 *
 * @param slower how many times slower the file's clock is than the world's: over 1 for slow motion
 * @param byHand no points are looked for
 * @throws GivenUp when the signal says so
 */
export async function findSwing(
  file: File,
  slower: number,
  which: number | undefined,
  onProgress: (progress: Progress) => void,
  onPicture: (picture: CanvasImageSource, points: Points | null) => void,
  signal: AbortSignal,
  byHand = false,
): Promise<Found> {
  const goOn = () => {
    if (signal.aborted) throw new GivenUp();
  };
  onProgress({ part: "opening", done: 0, of: 1 });
  let film = await Film.open(file);
  goOn();
  const finder = byHand ? undefined : new PointFinder();
  const stop = () => finder?.close();
  signal.addEventListener("abort", stop);
  try {
    const { times, swings } = await search(film, slower, onProgress, goOn);
    const strongest = which ?? 0;
    const swing = swings[Math.min(strongest, swings.length - 1)]!;
    const wanted = worthALook(times, swing);
    let clock = 0;
    const look = async (canvas: CanvasImageSource & ImageBitmapSource, milliseconds: number) =>
      finder ? finder.find(clock++, await createImageBitmap(canvas), milliseconds) : null;
    const turned = byHand ? 0 : await standing(film, wanted[0]! * slower, look);
    goOn();
    film = film.turned(turned);
    const before = 20 * clock;
    const found: Found = {
      id: ++number,
      name: file.name,
      turned,
      // Without it the strike is told by the hands.
      sound: slower === 1 ? await film.sound(swing.from, swing.to).catch(() => undefined) : undefined,
      times: [],
      frames: [],
      pictures: [],
      ...film.size,
      rate: film.facts.rate * slower,
      byHand,
      swings,
      swing: swings.indexOf(swing),
    };
    const begun = performance.now();
    let next = 0;
    for await (const { canvas, seconds } of film.pictures(
      wanted[0]! * slower - 1e-3,
      swing.to * slower + 1e-3,
    )) {
      goOn();
      const at = seconds / slower;
      if (next >= wanted.length) break;
      if (at < wanted[next]! - 1e-4) continue;
      const points = await look(canvas, Math.round(1000 * (at - wanted[0]!)) + before);
      goOn();
      found.times.push(at);
      found.frames.push(points);
      found.pictures.push(await jpeg(canvas));
      onPicture(canvas, points);
      next++;
      const each = (performance.now() - begun) / 1000 / next;
      onProgress({ part: "finding", done: next, of: wanted.length, left: each * (wanted.length - next) });
    }
    if (!byHand && found.frames.filter((f) => f).length < FEWEST)
      throw new NotFound("Nobody is to be seen in this film: the whole golfer must be in the picture.");
    return found;
  } catch (e) {
    goOn();
    if (e instanceof NoFilm) throw e;
    if (e instanceof NotHere)
      throw new NotFound(
        "What finds a body cannot run here: it did not arrive, or this browser has no WebAssembly or no WebGL.",
        {
          cause: e,
        },
      );
    throw new NoFilm("The film cannot be read to its end: it may be damaged.", { cause: e });
  } finally {
    signal.removeEventListener("abort", stop);
    finder?.close();
  }
}

/** Which way up the golfer stands in the picture at a time; some look at it before it counts. */
async function standing(
  film: Film,
  at: number,
  look: (canvas: OffscreenCanvas | HTMLCanvasElement, milliseconds: number) => Promise<Points | null>,
): Promise<Turned> {
  let looks = 0;
  for (const turn of [0, 90, 270, 180] as const) {
    for await (const { canvas } of film.turned(turn).pictures(at - 1e-3, at + 0.5)) {
      let points: Points | null = null;
      for (let i = 0; i < WARM_UP; i++) points = await look(canvas, 20 * looks++);
      if (points) return ((turn + turnToStand(points)) % 360) as Turned;
      break;
    }
  }
  return 0;
}

/** Every picture's time, and where the swings are. */
async function search(
  film: Film,
  slower: number,
  onProgress: (progress: Progress) => void,
  goOn: () => void,
): Promise<{ times: number[]; swings: Stretch[] }> {
  const times: number[] = [];
  const amounts: number[] = [];
  const seconds = film.facts.seconds / slower;
  const canvas = new OffscreenCanvas(SMALL, SMALL);
  const paper = canvas.getContext("2d", { willReadFrequently: true })!;
  let before: Uint8ClampedArray | undefined;
  const begun = performance.now();
  for await (const picture of film.pictures(0, film.facts.seconds + 1, SMALL)) {
    goOn();
    const at = picture.seconds / slower;
    paper.drawImage(picture.canvas, 0, 0, SMALL, SMALL);
    const now = paper.getImageData(0, 0, SMALL, SMALL).data;
    times.push(at);
    amounts.push(before ? difference(before, now) : 0);
    before = now;
    const spent = (performance.now() - begun) / 1000;
    if (times.length % 10 === 0)
      onProgress({
        part: "searching",
        done: at,
        of: seconds,
        left: at > 0 ? (spent / at) * (seconds - at) : undefined,
      });
  }
  const swings = swingsIn({ times, amounts });
  const last = times[times.length - 1] ?? 0;
  if (last - (times[0] ?? 0) <= ONE_SWING) {
    const peak = swings.length > 0 ? swings.reduce((a, b) => (b.peak > a.peak ? a : b)).peak : last / 2;
    return { times, swings: [{ from: times[0] ?? 0, to: last, peak }] };
  }
  return { times, swings: swings.length > 0 ? swings : [{ from: 0, to: Math.min(last, 3.5), peak: 1.5 }] };
}
