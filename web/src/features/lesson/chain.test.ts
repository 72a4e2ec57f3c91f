import { describe, expect, it } from "vitest";
import type { Diagnosis, LessonEntry } from "@/api/types";
import { CATALOGUE, LESSON } from "@/test/fixtures";
import { chainShape, WIDTH } from "./chainShape";
import { pieces, without } from "./evidence";

const DIAGNOSIS: Diagnosis = {
  ...LESSON.diagnosis,
  faults: [
    {
      id: "sway",
      probability: 0.9,
      grade: "likely",
      // Speaks for the sway only through what it brings: no line of its own to the ball.
      for: [{ evidence: "flight:slice", weight: 0.4, text: "6 of 8 balls: slice" }],
      against: [],
    },
    {
      id: "over-the-top",
      probability: 0.6,
      grade: "possible",
      for: [{ evidence: "flight:slice", weight: 2, text: "6 of 8 balls: slice" }],
      against: [{ evidence: "flight:pull", weight: -1, text: "0 of 8 balls: pull" }],
    },
    { id: "toe-fall", probability: 0.1, grade: "unlikely", for: [], against: [] },
  ],
  chain: [{ from: "sway", to: "over-the-top", strength: 0.5 }],
};

describe("the chain", () => {
  const shape = chainShape(DIAGNOSIS, CATALOGUE);

  it("runs from root to ball and leaves out what is unlikely", () => {
    expect(shape.columns.map((c) => c.label)).toEqual(["Backswing", "Downswing", "Ball"]);
    expect(shape.nodes.map((n) => n.id)).toEqual(["sway", "over-the-top", "flight:slice"]);
    expect(shape.nodes.map((n) => n.x)).toEqual([...shape.nodes.map((n) => n.x)].sort((a, b) => a - b));
    expect(shape.nodes[0]).toMatchObject({ turn: 1, grade: "likely" });
    expect(shape.nodes[1]!.turn).toBeUndefined();
  });

  it("draws a surer link thicker, and keeps within the picture", () => {
    expect(shape.edges.map((e) => `${e.from}>${e.to}`)).toEqual([
      "sway>over-the-top",
      "over-the-top>flight:slice",
    ]);
    const weaker = chainShape(
      { ...DIAGNOSIS, chain: [{ from: "sway", to: "over-the-top", strength: 0.1 }] },
      CATALOGUE,
    );
    expect(weaker.edges[0]!.width).toBeLessThan(shape.edges[0]!.width);
    for (const node of shape.nodes) {
      expect(node.x).toBeGreaterThanOrEqual(0);
      expect(node.x).toBeLessThan(WIDTH);
      expect(node.y).toBeLessThan(shape.height);
    }
  });

  it("is empty when nothing is possible", () => {
    expect(chainShape({ ...DIAGNOSIS, faults: [] }, CATALOGUE).nodes).toEqual([]);
  });
});

describe("switching evidence off", () => {
  const entry: LessonEntry = {
    ...LESSON.entry,
    signs: { "little-hip-turn": "yes", "pelvis-drifts-back": "no" },
    before: {
      readings: [{ id: "trail-share", at: "top", value: 72, source: "seen", swings: 3 }],
      shots: { flight: { slice: 6, straight: 2 }, strike: {}, divot: {} },
    },
  };

  it("names everything that was entered", () => {
    expect(pieces(LESSON, entry, CATALOGUE).map((p) => p.label)).toEqual([
      "Flight of the balls: 6 slice, 2 straight",
      "Hips hardly turn",
      "Not: Pelvis slides away",
      "Load under the trail foot, top: 72 % (seen)",
    ]);
  });

  it("puts what was measured before what was entered, and says what no fault is judged by", () => {
    const reading = { id: "trail-share", at: "top", value: 70.04, source: "plate", swings: 4 };
    const lesson = {
      ...LESSON,
      measured: [
        { stage: "before", reading },
        { stage: "after", reading },
      ],
      diagnosis: {
        ...LESSON.diagnosis,
        faults: [
          { ...LESSON.diagnosis.faults[0]!, for: [{ evidence: "trail-share@top>60", weight: 1, text: "" }] },
        ],
      },
    };
    const typed = {
      ...entry,
      before: {
        ...entry.before,
        readings: [
          { ...reading, value: 12 },
          { ...reading, id: "hip-turn", source: "seen" },
        ],
      },
    };
    const readings = pieces(lesson, typed, CATALOGUE).slice(3);
    expect(readings.map((p) => p.tells)).toEqual([true, false]);
    expect(readings[0]!.label).toContain("70 % (plate)");
    expect(without(lesson, typed, new Set([readings[0]!.key])).measures).toHaveLength(1);
  });

  it("asks without what is off, and with all of it again", () => {
    const [flight, turn, , share] = pieces(LESSON, entry, CATALOGUE).map((p) => p.key);
    const asked = without(LESSON, entry, new Set([flight!, turn!, share!]));
    expect(asked).toMatchObject({
      signs: { "pelvis-drifts-back": "no" },
      measures: [],
      shots: { flight: {} },
    });
    expect(asked.history).toEqual([]);
    const all = without(LESSON, entry, new Set());
    expect(all.signs).toEqual(entry.signs);
    expect(all.measures).toEqual(entry.before.readings);
    expect(all.shots).toEqual(entry.before.shots);
  });

  it("takes what earlier lessons leave for one piece that can be switched off", () => {
    const before = {
      on: "2026-11-17",
      signs: { "little-hip-turn": "yes" },
      worked: ["sway"],
      practised: 0.8,
    };
    const lesson = { ...LESSON, history: [before] };
    expect(pieces(lesson, entry, CATALOGUE)[0]).toEqual({
      key: "history",
      label: "The lesson before",
      tells: true,
    });
    expect(without(lesson, entry, new Set(["little-hip-turn"]))).toMatchObject({
      on: "2026-12-01",
      history: [before],
    });
    expect(without(lesson, entry, new Set(["history"])).history).toEqual([]);
    const three = { ...LESSON, history: [before, before, before] };
    expect(pieces(three, entry, CATALOGUE)[0]!.label).toBe("The 3 lessons before");
  });
});
