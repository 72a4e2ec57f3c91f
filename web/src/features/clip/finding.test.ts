import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { standing } from "@/test/filmed";
import type { Turned } from "./film";
import { findSwing, GivenUp, type Progress } from "./finding";
import type { Points } from "./points";

const RATE = 30;
/** What the made-up film shows: how much changes at a time, how it lies, whether it breaks. */
let film: { seconds: number; swings: number[]; lies: Turned; breaks?: number; mute?: boolean };
/** What finds points says of a picture that stands, or lies. */
let seen: (turned: number) => Points | null;
let looks: number;
let closed: number;

vi.mock("./film", () => {
  class NoFilm extends Error {}
  const lying = (turn: number): object => ({
    facts: { width: 360, height: 480, seconds: film.seconds, rate: RATE },
    size: { width: 360, height: 480 },
    sound: async () => {
      if (film.mute) throw new Error("no decoder");
      return { samples: new Float32Array(4), rate: 8000, from: 0 };
    },
    turned: (by: number) => lying((turn + by) % 360),
    async *pictures(from: number, to: number) {
      for (let i = 0; i < film.seconds * RATE; i++) {
        const seconds = i / RATE;
        if (film.breaks !== undefined && seconds > film.breaks) throw new Error("broken packet");
        if (seconds >= from && seconds < to)
          yield { canvas: { turn, seconds, convertToBlob: async () => new Blob(["jpeg"]) }, seconds };
      }
    },
  });
  return { NoFilm, Film: { open: async () => lying(0) } };
});

vi.mock("./points", async (original) => ({
  ...(await original<typeof import("./points")>()),
  PointFinder: class {
    async find(_: number, picture: { turn: number }) {
      looks++;
      return seen(picture.turn);
    }
    close() {
      closed++;
    }
  },
}));

/** A canvas is as bright as the picture drawn last on it has moved. */
class Canvas {
  private at = 0;
  getContext = () => ({
    drawImage: (picture: { seconds: number }) => (this.at = picture.seconds),
    getImageData: () => {
      const moving = film.swings.some((s) => Math.abs(this.at - s) < 0.25);
      const grey = moving ? (Math.round(this.at * RATE) % 2) * 200 : 0;
      return { data: new Uint8ClampedArray(64).fill(grey) };
    },
  });
}

beforeEach(() => {
  film = { seconds: 3, swings: [1.5], lies: 0 };
  seen = () => standing();
  looks = closed = 0;
  vi.stubGlobal("OffscreenCanvas", Canvas);
  vi.stubGlobal("createImageBitmap", async (canvas: object) => canvas);
  // Every canvas here is one of these.
  Object.defineProperty(Canvas, Symbol.hasInstance, { value: () => true, configurable: true });
});
afterEach(() => vi.unstubAllGlobals());

const find = (which?: number, slower = 1, signal = new AbortController().signal) => {
  const told: Progress[] = [];
  const shown: (Points | null)[] = [];
  return findSwing(
    new File(["film"], "swing.mp4"),
    slower,
    which,
    (p) => told.push(p),
    (_, points) => shown.push(points),
    signal,
  ).then((found) => ({ found, told, shown }));
};

describe("a film of one swing", () => {
  it("is looked through whole, told as it goes, with a picture for each look", async () => {
    const { found, told, shown } = await find();
    expect(found.swings).toHaveLength(1);
    expect(found.times.length).toBe(found.frames.length);
    expect(found.pictures.length).toBe(found.frames.length);
    expect(shown.length).toBe(found.frames.length);
    expect(found.turned).toBe(0);
    expect(told.map((p) => p.part)).toContain("searching");
    const last = told.at(-1)!;
    expect(last).toMatchObject({ part: "finding", done: found.frames.length, of: found.frames.length });
    expect(last.left).toBe(0);
    expect(closed).toBe(1);
  });

  it("is another each time it is opened", async () => {
    const [a, b] = [await find(), await find()];
    expect(a.found.id).not.toBe(b.found.id);
  });

  it("goes without its sound where that cannot be read", async () => {
    expect((await find()).found.sound?.rate).toBe(8000);
    film.mute = true;
    expect((await find()).found.sound).toBeUndefined();
  });

  it("in slow motion has the world's times, and no sound that tells one", async () => {
    const { found } = await find(undefined, 4);
    expect(found.sound).toBeUndefined();
    expect(found.times.at(-1)! - found.times[0]!).toBeLessThan(0.8);
  });
});

describe("a film of several swings", () => {
  beforeEach(() => {
    film = { seconds: 14, swings: [3, 10], lies: 0 };
  });

  it("gives the first, and another on demand", async () => {
    const { found } = await find();
    expect(found.swings.map((s) => Math.round(s.peak))).toEqual([3, 10]);
    expect(found.times.at(-1)).toBeLessThan(6);
    const other = (await find(1)).found;
    expect(other.swing).toBe(1);
    expect(other.times[0]).toBeGreaterThan(6);
  });
});

describe("what spoils a film", () => {
  it("is turned where the golfer lies", async () => {
    const up = standing();
    const lying = up.map(([x, y, sure]) => [480 - y!, x!, sure!]);
    seen = (turned) => (turned === 270 ? up : lying);
    const { found } = await find();
    expect(found.turned).toBe(270);
    expect(found.frames[5]).toEqual(up);
  });

  it("is looked at from every side before nobody is there", async () => {
    seen = () => null;
    await expect(find()).rejects.toThrow("Nobody is to be seen");
    expect(looks).toBeGreaterThan(12);
    expect(closed).toBe(1);
  });

  it("is said where it breaks off", async () => {
    film.breaks = 2;
    await expect(find()).rejects.toThrow("may be damaged");
  });

  it("is nothing where the coach gave up", async () => {
    const control = new AbortController();
    seen = () => {
      control.abort();
      return standing();
    };
    await expect(find(undefined, 1, control.signal)).rejects.toBeInstanceOf(GivenUp);
    expect(closed).toBeGreaterThan(0);
  });
});
