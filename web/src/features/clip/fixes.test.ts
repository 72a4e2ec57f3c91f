import { describe, expect, it } from "vitest";
import { motionOf } from "@/test/motion";
import { foundSwing, MOMENTS, READINGS, standing } from "@/test/filmed";
import { fixed } from "./fixes";
import { POINTS } from "./points";
import { turnToStand } from "./seen";
import { nearest, type Shown } from "./shown";
import { laidOver, stanceIn, stanceOf } from "./stance";
import { byMoments, strikesApart } from "./ties";

const found = foundSwing();
const HIP = POINTS.indexOf("left-hip");
const shown: Shown = {
  ...found,
  view: "face-on",
  moments: MOMENTS,
  warnings: [],
  readings: READINGS,
  ruler: { from: "none", uncertainty: 0 },
  picture: () => undefined,
};

describe("a dragged point", () => {
  it("takes those around it along, less the further away, and nothing else", () => {
    const at = nearest(found.times, 1.2);
    const moved = fixed(found.frames, found.times, [{ at, point: "left-hip", by: [12, -4] }]);
    const went = moved.map((frame, i) => frame![HIP]![0]! - found.frames[i]![HIP]![0]!);
    expect(went[at]).toBeCloseTo(12);
    expect(moved[at]![HIP]![1]! - found.frames[at]![HIP]![1]!).toBeCloseTo(-4);
    expect(went[at + 1]).toBeGreaterThan(6);
    expect(went[at + 2]).toBeLessThan(6);
    expect(went[at + 3]).toBeCloseTo(0);
    expect(went[at - 1]).toBeCloseTo(went[at + 1]!);
    expect(moved[at]![0]).toEqual(found.frames[at]![0]);
  });

  it("is as sure as one that was found well, and adds to what was dragged before", () => {
    const unsure = found.times.map(() => standing(80, 0, 0.2));
    const once = { at: 10, point: "left-hip" as const, by: [5, 0] as [number, number] };
    const moved = fixed(unsure, found.times, [once, once]);
    expect(moved[10]![HIP]![0]! - unsure[10]![HIP]![0]!).toBeCloseTo(10);
    expect(moved[10]![HIP]![2]).toBeGreaterThan(0.9);
    expect(moved[15]![HIP]![2]).toBe(0.2);
  });

  it("leaves pictures empty in which nobody was seen", () => {
    const frames = found.frames.map((f, i) => (i === 11 ? null : f));
    expect(fixed(frames, found.times, [{ at: 10, point: "left-hip", by: [5, 0] }])[11]).toBeNull();
  });
});

describe("a film laid over another", () => {
  it("has its feet where the other's are, and is as tall", () => {
    const here = stanceOf(shown)!;
    expect(here.feet[0]).toBeCloseTo(178);
    expect(here.tall).toBe(310);
    const far = { feet: [90, 200] as [number, number], tall: 155 };
    const { scale, left, top } = laidOver(here, far);
    expect(scale).toBe(2);
    expect(left + scale * far.feet[0]).toBeCloseTo(here.feet[0]);
    expect(top + scale * far.feet[1]).toBeCloseTo(here.feet[1]);
  });

  it("is nowhere without an address, or where nobody stands there", () => {
    expect(stanceOf({ ...shown, moments: [] })).toBeUndefined();
    expect(stanceOf({ ...shown, frames: shown.frames.map(() => null) })).toBeUndefined();
    expect(
      stanceOf({ ...shown, frames: shown.frames.map(() => standing().map(([x]) => [x!, 10, 1])) }),
    ).toBeUndefined();
  });

  it("may be the golfer, seen from the same side", () => {
    const face = stanceIn(motionOf(0), "face-on", "right")!;
    expect(face.tall).toBeGreaterThan(30);
    expect(face.feet[1]).toBeGreaterThan(60);
    const left = stanceIn(motionOf(0), "face-on", "left")!;
    expect(left.feet[0]).toBeCloseTo(100 - face.feet[0], 5);
  });

  it("goes with the film, moment on moment", () => {
    const motion = motionOf(0, {
      moments: [
        { id: "address", label: "Address", brief: "Address", time: 0 },
        { id: "top", label: "Top", brief: "Top", time: 0.8 },
        { id: "impact", label: "Impact", brief: "Impact", time: 1.05 },
      ],
    });
    expect(byMoments(shown.moments, motion.moments, 1.2)).toBeCloseTo(0.8);
    expect(byMoments(shown.moments, motion.moments, 0.7)).toBeCloseTo(0.4);
    expect(byMoments(shown.moments, motion.moments, 1.35)).toBeCloseTo(0.925);
    expect(byMoments(shown.moments, motion.moments, 0)).toBe(0);
    expect(byMoments(shown.moments, motion.moments, 5)).toBe(1.05);
  });

  it("is on one clock with another recording only where both know the strike", () => {
    const plate = [{ id: "impact", time: 4.25 }];
    expect(strikesApart(shown.moments, plate)).toBeCloseTo(4.25 - 1.5);
    expect(strikesApart(shown.moments, [{ id: "top", time: 3 }])).toBeUndefined();
  });
});

describe("a film that does not stand", () => {
  const turned = (quarters: number) =>
    standing().map(([x, y, sure]) => {
      let at = [x!, y!];
      for (let q = 0; q < quarters; q++) at = [480 - at[1]!, at[0]!];
      return [...at, sure!];
    });

  it("is turned back with the clock until the golfer stands", () => {
    expect(turnToStand(standing())).toBe(0);
    expect(turnToStand(turned(1))).toBe(270);
    expect(turnToStand(turned(2))).toBe(180);
    expect(turnToStand(turned(3))).toBe(90);
  });
});
