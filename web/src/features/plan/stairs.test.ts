import { describe, expect, it } from "vitest";
import type { Plan, PlanBlock } from "@/api/types";
import { placed, stairs } from "./stairs";

const block = (fault: string, rung: string, kind = "main"): PlanBlock => ({
  fault,
  rung,
  kind,
  drill: "disc-turn",
  sets: 4,
  repsPerSet: 5,
  restSeconds: 20,
  balls: 0,
  minutes: 3,
  cue: "",
  scored: kind === "check",
  contrast: 0,
  locked: false,
  harder: false,
  form: "none",
  strikes: 0,
  speed: 50,
});
const gate = { good: 8, of: 10, days: 2, coachSigns: false };
const PLAN: Plan = {
  route: [
    { rung: "feel", fault: "sway", drill: "disc-turn", gate, why: "", chance: 0.8 },
    { rung: "short", fault: "sway", drill: "disc-turn", gate, why: "", chance: 0.2 },
    { rung: "prepare", fault: "stiff-trail-hip", drill: "seated-hip-roll", why: "" },
  ],
  days: [
    {
      date: "2026-12-01",
      place: "home",
      minutes: 10,
      blocks: [block("sway", "feel"), block("sway", "feel", "check")],
    },
    {
      date: "2026-12-05",
      place: "range",
      minutes: 10,
      blocks: [block("sway", "short"), block("stiff-trail-hip", "prepare")],
    },
  ],
  totals: { reps: 0, balls: 0, minutes: 0, wantedReps: 0 },
  kit: [],
  leftOut: [],
  cautions: [],
  warnings: [],
};

describe("the staircase", () => {
  const shape = stairs(PLAN, "2026-12-01", "2026-12-11", ["2026-12-01"], 1000);

  it("keeps the way that was promised, whatever became of it", () => {
    const promised = [
      { fault: "sway", rung: "feel", from: "2026-12-01" },
      { fault: "sway", rung: "rehearse", from: "2026-12-04" },
      { fault: "sway", rung: "full" },
    ];
    const kept = stairs(PLAN, "2026-12-01", "2026-12-11", [], 1000, promised);
    expect(kept.rows).toEqual(["prepare", "feel", "rehearse", "short"]);
    expect(kept.promised).toEqual([
      {
        fault: "sway",
        treads: [
          { row: 1, x: 0, until: 300 },
          { row: 2, x: 300, until: 1000 },
        ],
      },
    ]);
    expect(shape.promised).toEqual([]);
  });

  it("has a row for each rung in use, lowest first, and a column for each day", () => {
    expect(shape.rows).toEqual(["prepare", "feel", "short"]);
    expect(shape.days).toHaveLength(10);
    expect(shape.days.filter((d) => d.planned && !d.home).map((d) => d.date)).toEqual(["2026-12-05"]);
  });

  it("puts main blocks on their day and rung, side by side when there are two", () => {
    expect(shape.treads.map((t) => [t.x, t.row, t.width])).toEqual([
      [0, 1, 100],
      [400, 2, 50],
      [450, 0, 50],
    ]);
    expect(shape.treads.map((t) => t.done)).toEqual([true, false, false]);
    expect(shape.treads[0]!.reps).toBe(20);
  });

  it("names each drill once per row, over its first day, and never one over another", () => {
    expect(shape.names.map((n) => [n.drill, n.row, n.x])).toEqual([
      ["disc-turn", 1, 0],
      ["disc-turn", 2, 400],
      ["disc-turn", 0, 450],
    ]);
    const close = [
      { row: 0, fault: "sway", drill: "first", x: 0 },
      { row: 0, fault: "sway", drill: "second", x: 20 },
      { row: 0, fault: "sway", drill: "third", x: 190 },
      { row: 1, fault: "sway", drill: "other", x: 20 },
    ];
    expect(placed(close, (drill) => drill, 10, 200).map((n) => [n.text, n.x])).toEqual([
      ["first", 0],
      ["second", 60],
      ["third", 150],
      ["other", 20],
    ]);
    expect(placed(close, (drill) => drill, 10, 100).map((n) => n.text)).toEqual(["first", "other"]);
  });

  it("has a landing behind the last block of each gated rung, with its chance", () => {
    expect(shape.landings).toEqual([
      { row: 1, fault: "sway", chance: 0.8, x: 100 },
      { row: 2, fault: "sway", chance: 0.2, x: 450 },
    ]);
  });
});
