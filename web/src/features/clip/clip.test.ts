import { describe, expect, it } from "vitest";
import { drawing } from "./lines";
import { difference, swingsIn, worthALook } from "./looking";
import { POINTS, type Points } from "./points";
import { framesToSend, viewOf } from "./seen";

const RATE = 60;
const film = (seconds: number) => Array.from({ length: seconds * RATE }, (_, i) => i / RATE);
/** How much changes: a slow way back, a quick way down at each of these moments, a lowered club after. */
const changes = (times: number[], swings: number[]) =>
  times.map((t) =>
    swings.reduce((most, at) => {
      const off = t - at;
      if (off > -1.2 && off < -0.2) return Math.max(most, 3);
      if (Math.abs(off) <= 0.2) return Math.max(most, 14);
      if (off > 1 && off < 2) return Math.max(most, 4);
      return most;
    }, 0.2),
  );

describe("where the swings of a film are", () => {
  it("is told by how much the picture changes", () => {
    const times = film(20);
    const found = swingsIn({ times, amounts: changes(times, [5, 12.5]) });
    expect(found).toHaveLength(2);
    expect(found[0]!.peak).toBeCloseTo(5, 0);
    expect(found[1]!.peak).toBeCloseTo(12.5, 0);
    for (const s of found) {
      expect(s.from).toBeLessThan(s.peak - 1.5);
      expect(s.to).toBeGreaterThan(s.peak + 1.2);
    }
  });

  it("is nowhere in a film in which nothing moves", () => {
    const times = film(4);
    expect(swingsIn({ times, amounts: times.map(() => 0) })).toEqual([]);
  });

  it("ends with the film", () => {
    const times = film(3);
    const [only] = swingsIn({ times, amounts: changes(times, [1.5]) });
    expect(only!.from).toBe(0);
    expect(only!.to).toBeLessThanOrEqual(times.at(-1)!);
    expect(only!.to).toBeGreaterThan(2.8);
  });
});

describe("what is worth a look", () => {
  it("is few pictures but on the way down, whatever the film's rate", () => {
    for (const rate of [30, 60, 120, 240]) {
      const times = Array.from({ length: 4 * rate }, (_, i) => i / rate);
      const chosen = worthALook(times, { from: 0.2, to: 3.5, peak: 2 });
      expect(chosen.length).toBeGreaterThan(90);
      expect(chosen.length).toBeLessThan(200);
      const down = chosen.filter((t) => t > 1.6 && t < 2.1).length;
      expect(Math.abs(down - 0.5 * Math.min(rate, 120))).toBeLessThan(2);
      expect(chosen[0]).toBeGreaterThanOrEqual(0.2);
    }
  });
});

it("two pictures differ by their grey", () => {
  const grey = (v: number) => new Uint8ClampedArray(64).fill(v);
  expect(difference(grey(10), grey(10))).toBe(0);
  expect(difference(grey(10), grey(40))).toBe(30);
});

/** A golfer with shoulders so wide, 400 pixels from ankles to ears. */
const golfer = (wide: number, sure = 0.9): Points =>
  POINTS.map((name) => {
    const side = name.startsWith("left") ? 1 : name.startsWith("right") ? -1 : 0;
    const up = {
      ear: 500,
      nose: 500,
      shoulder: 420,
      elbow: 350,
      wrist: 300,
      hip: 310,
      knee: 210,
      ankle: 100,
    }[name.replace(/^(left|right)-/, "")];
    return [300 + (side * wide) / 2, 600 - (up ?? 90), sure];
  });

describe("a golfer in a picture", () => {
  it("is seen face on or down the line", () => {
    expect(viewOf([golfer(100), null, golfer(96), golfer(90)])).toBe("face-on");
    expect(viewOf([golfer(12), golfer(8), golfer(10)])).toBe("down-the-line");
  });

  it("is sent with what was not seen nowhere", () => {
    const sent = framesToSend([golfer(100), null]);
    expect(sent[1]!.every(([, , sure]) => sure === 0)).toBe(true);
    expect(sent[0]![0]).toEqual([300, 100, 0.9]);
  });

  it("is drawn with the lines that are measured, where they were, and how sure they are", () => {
    const moved = golfer(100).map(([x, y, s]) => [x! - 20, y!, s!]);
    const face = drawing("face-on", moved, golfer(100), ["left-shoulder", "left-elbow", "left-wrist"], 6);
    const upright = face.lines.filter((l) => l.kind !== "body");
    expect(upright.map((l) => l.kind)).toEqual(["now", "address", "now", "address"]);
    expect(upright[0]!.from[0]).toBe(280);
    expect(upright[1]!.from[0]).toBe(300);
    expect(face.bands).toEqual([expect.objectContaining({ x: 280, half: 6 })]);
    expect(face.dots.every((d) => d.sure)).toBe(true);

    const line = drawing("down-the-line", golfer(10, 0.3), undefined, [], 0);
    expect(line.lines.filter((l) => l.kind === "address")).toEqual([]);
    expect(line.bands).toEqual([]);
    expect(line.dots.some((d) => d.sure)).toBe(false);
  });
});
