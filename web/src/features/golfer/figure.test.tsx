import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { motionOf } from "@/test/motion";
import { cameraOf, project, type View, VIEWS } from "./camera";
import { things } from "./things";
import { glows } from "./glows";
import { figure } from "./figure";
import { GolferPicture } from "./GolferPicture";
import { pictureOf } from "./scene";
import { LOOKS, shaded } from "./looks";
import { ballAt, poseAt, posesOf, shownTime } from "./motion";
import { boundsOf, hull, shapesOf } from "./svgFigure";
import { length, sub } from "./vec";

const MOTION = motionOf(100);
const CAMERA = cameraOf(VIEWS.face, "right");

describe("a movement", () => {
  it("is on the straight way between two pictures, and stays at its ends", () => {
    expect(poseAt(MOTION, 0.5, "right").points["lead-hip"]![0]).toBeCloseTo(11.8 - 5);
    expect(poseAt(MOTION, 0.5, "right").loads[0]).toBeCloseTo(8.75);
    expect(poseAt(MOTION, 99, "right").points["lead-hip"]![0]).toBeCloseTo(11.8);
    expect(poseAt(MOTION, -1, "right").points["lead-hip"]![0]).toBeCloseTo(11.8);
  });

  it("is the mirror image for a left-hander", () => {
    const right = poseAt(MOTION, 1, "right").points["trail-knee"]!;
    const left = poseAt(MOTION, 1, "left").points["trail-knee"]!;
    expect(left).toEqual([-right[0], right[1], right[2]]);
  });

  it("has its ball lying until it is struck, and soon no more", () => {
    expect(ballAt(MOTION, 1.49, "right")).toEqual(ballAt(MOTION, 0, "right"));
    expect(ballAt(MOTION, 1.55, "right")![0]).toBeGreaterThan(50);
    expect(ballAt(MOTION, 1.55, "left")![0]).toBeLessThan(-50);
    expect(ballAt(MOTION, 1.9, "right")).toBeUndefined();
  });

  it("is cut down to a few poses with both ends among them", () => {
    expect(posesOf(MOTION, 2).map((m) => m.id)).toEqual(["address", "finish"]);
    expect(posesOf(MOTION, 8)).toHaveLength(3);
    expect(shownTime(MOTION)).toBe(1);
  });
});

describe("a figure", () => {
  const pose = poseAt(MOTION, 1, "right");
  const parts = figure(pose, MOTION, 1, "right");

  it("is made of whole parts of sensible size", () => {
    expect(parts.map((p) => p.id)).toEqual(
      expect.arrayContaining(["head", "cap", "trunk", "lead-shoe", "trail-hand", "shaft", "ball"]),
    );
    for (const { id, rings } of parts) {
      for (const ring of rings) {
        expect([...ring.c, ...ring.u, ...ring.v, ring.a, ring.b].every(Number.isFinite), id).toBe(true);
        expect(length(ring.u)).toBeCloseTo(1, 3);
        expect(ring.a).toBeLessThan(25);
      }
    }
  });

  it("leaves out the club where nothing is held, and the ball once it is gone", () => {
    const ids = figure(pose, { ...MOTION, held: undefined }, 1.9, "right").map((p) => p.id);
    expect(ids).not.toContain("shaft");
    expect(ids).not.toContain("ball");
  });

  it("is the feet and shins, and what lies beside them, where they are looked at alone", () => {
    const { parts: all } = pictureOf({ motion: MOTION, seconds: 1 }, "right", 1);
    const { parts: feet } = pictureOf({ motion: MOTION, seconds: 1 }, "right", 1, {
      ...VIEWS.face,
      feet: true,
    });
    const knee = (pose.points["lead-knee"]![1] + pose.points["trail-knee"]![1]) / 2;
    const ids = feet.map((p) => p.id);
    expect(ids).toEqual(expect.arrayContaining(["lead-shoe", "trail-leg", "club-head", "disc-0"]));
    expect(all.length).toBeGreaterThan(feet.length + 12);
    for (const part of feet.filter((p) => p.id !== "shaft"))
      for (const ring of part.rings) expect(ring.c[1], part.id).toBeLessThan(knee + 15);
  });

  it("takes along what lies under a foot", () => {
    const turned = { ...pose, points: { ...pose.points } };
    for (const id of ["trail-heel", "trail-toe"]) {
      const [x, y, z] = turned.points[id]!;
      turned.points[id] = [x - 20, y, z];
    }
    const [before] = things(MOTION, pose, pose, "right");
    const [after] = things(MOTION, pose, turned, "right");
    expect(sub(after!.rings[0]!.c, before!.rings[0]!.c)[0]).toBeCloseTo(-20, 3);
  });

  it("presses where the load is", () => {
    const load = (part: string) =>
      glows(pose)
        .filter((g) => g.id.startsWith(part))
        .reduce((sum, g) => sum + g.load, 0);
    expect(load("trail")).toBeCloseTo(80);
    expect(load("lead")).toBeCloseTo(20);
  });
});

describe("a picture in ink", () => {
  it("draws what is far before what is near", () => {
    const shapes = shapesOf(figure(poseAt(MOTION, 0, "right"), MOTION, 0, "right"), CAMERA);
    const at = (id: string) => shapes.findIndex((s) => s.id === id);
    expect(at("pelvis")).toBeLessThan(at("lead-hand"));
    expect(shapes.every((s) => !s.d.includes("NaN"))).toBe(true);
  });

  it("shows the target on the right of a right-hander who is faced, and on the left of a left-hander", () => {
    const x = (hand: "right" | "left") =>
      project(cameraOf(VIEWS.face, hand), poseAt(MOTION, 0, hand).points["lead-toe"]!)[0];
    expect(x("right")).toBeGreaterThan(55);
    expect(x("left")).toBeLessThan(45);
  });

  it("has the feet in the middle and larger, where they are looked at alone", () => {
    const { points } = poseAt(MOTION, 0, "right");
    const apart = (view: View) => {
      const [lead, trail] = ["lead-toe", "trail-toe"].map((p) =>
        project(cameraOf(view, "right"), points[p]!),
      );
      return { wide: Math.abs(lead![0] - trail![0]), high: (lead![1] + trail![1]) / 2 };
    };
    const whole = apart(VIEWS.face);
    const near = apart({ ...VIEWS.face, feet: true });
    // In 92 cm instead of 232; the toes stand a little nearer to the eye.
    expect(near.wide / whole.wide / (232 / 92)).toBeCloseTo(1, 1);
    expect(whole.high).toBeGreaterThan(80);
    expect(Math.abs(near.high - 65)).toBeLessThan(15);
  });

  it("has the ball on the right of a right-hander from behind", () => {
    const [ball] = project(cameraOf(VIEWS.line, "right"), ballAt(MOTION, 0, "right")!);
    const [foot] = project(cameraOf(VIEWS.line, "right"), poseAt(MOTION, 0, "right").points["lead-heel"]!);
    expect(ball).toBeGreaterThan(foot + 10);
  });

  it("goes around all points with the fewest", () => {
    const way = hull([
      [0, 0],
      [4, 0],
      [4, 4],
      [0, 4],
      [2, 2],
      [2, 0],
    ]);
    expect(way).toHaveLength(4);
  });

  it("is told from a sound one where something is wrong", () => {
    const draw = (sway: number) =>
      renderToStaticMarkup(
        <GolferPicture
          drawn={[{ motion: motionOf(sway), seconds: 1 }]}
          hand="right"
          view={VIEWS.face}
          title="Top"
        />,
      );
    expect(draw(0)).not.toBe(draw(100));
    expect(draw(0)).toContain('aria-label="Top"');
  });

  it("is cut to the figure, with air around it", () => {
    const parts = figure(poseAt(MOTION, 0, "right"), MOTION, 0, "right");
    const [left, top, width, height] = boundsOf(parts, CAMERA);
    expect(left).toBeGreaterThan(10);
    expect(left + width).toBeLessThan(90);
    expect(height).toBeGreaterThan(width);
    expect(top + height).toBeLessThan(105);
  });

  it("shades a colour and leaves one that is fully lit", () => {
    expect(shaded("#c98f3c", 1)).toBe("#c98f3c");
    expect(shaded("#ffffff", 0)).toBe("#2b2620");
    expect(new Set(LOOKS.map((l) => l.colours.top)).size).toBe(LOOKS.length);
  });
});
