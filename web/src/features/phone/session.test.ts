import { newId } from "@/api/newId";
import { describe, expect, it } from "vitest";
import type { PlanBlock } from "@/api/types";
import {
  emptyEntry,
  firstOpen,
  marksOf,
  placeIn,
  toldOf,
  withMarks,
  withNoticed,
  withSpeed,
  withTold,
} from "./session";

const block = (part: Partial<PlanBlock>): PlanBlock => ({
  fault: "sway",
  drill: "disc-turn",
  rung: "feel",
  kind: "main",
  sets: 2,
  repsPerSet: 5,
  restSeconds: 20,
  balls: 0,
  minutes: 1,
  cue: "",
  scored: false,
  contrast: 0,
  locked: false,
  harder: false,
  form: "none",
  strikes: 0,
  speed: 50,
  ...part,
});

describe("a session", () => {
  it("keeps marks per block, in the plan's order", () => {
    const entry = withMarks(withMarks(emptyEntry("p", "2026-12-01"), 2, block({}), "+"), 0, block({}), "+-");
    expect(entry.blocks).toMatchObject([
      { block: 0, drill: "disc-turn", rung: "feel", kind: "main", marks: "+-" },
      { block: 2, marks: "+" },
    ]);
    expect(marksOf(entry, 1)).toBe("");
    const said = withNoticed(withNoticed(entry, 0, block({}), 2, "outer"), 0, block({}), 0, "inner");
    expect(said.blocks[0]).toMatchObject({ marks: "+-", noticed: ["inner", "", "outer"] });
    const fast = withTold(withSpeed(said, 0, block({}), 1, 70), 0, block({}), { club: "wedge", balls: [{}] });
    expect(fast.blocks[0]).toMatchObject({ marks: "+-", noticed: ["inner", "", "outer"] });
    expect(toldOf(fast, 0)).toEqual({ speeds: [0, 70], club: "wedge", balls: [{}], turns: [] });
  });

  it("goes on where it was left and passes by what is stopped", () => {
    const blocks = [block({}), block({ drill: "inner-prop" }), block({})];
    const entry = withMarks(emptyEntry("p", "2026-12-01"), 0, block({}), "++++++++++");
    expect(firstOpen(blocks, entry, [])).toBe(1);
    expect(firstOpen(blocks, entry, ["inner-prop"])).toBe(2);
    expect(firstOpen(blocks, entry, ["inner-prop", "disc-turn"])).toBe(3);
  });

  it("knows the set and whether the block is full", () => {
    expect([4, 5, 6].map((done) => placeIn(block({}), done).set)).toEqual([0, 1, 1]);
    expect([9, 10].map((done) => placeIn(block({}), done).full)).toEqual([false, true]);
  });

  it("beats the rhythm of rehearsals and balls; a check is all balls", () => {
    const short = block({ rung: "short", repsPerSet: 4, strikes: 2 });
    const strike = (b: PlanBlock, done: number) => placeIn(b, done).strike;
    expect([0, 1, 2, 3, 4].map((done) => strike(short, done))).toEqual([false, false, false, true, false]);
    const transfer = block({ rung: "transfer", sets: 1, repsPerSet: 8, strikes: 6 });
    expect([0, 1, 3, 4].map((done) => strike(transfer, done))).toEqual([false, true, true, false]);
    expect(strike(block({ kind: "check", strikes: 10 }), 0)).toBe(true);
    expect(strike(block({}), 3)).toBe(false);
  });

  it("spreads the reps that are wrong on purpose, and has none where the plan has none", () => {
    const twice = block({ sets: 3, repsPerSet: 10, contrast: 2 });
    const at = Array.from({ length: 30 }, (_, done) => done).filter((done) => placeIn(twice, done).contrast);
    expect(at).toEqual([14, 29]);
    expect(placeIn(block({}), 4).contrast).toBe(false);
    const withBalls = block({ rung: "short", sets: 5, repsPerSet: 4, strikes: 5, contrast: 1 });
    const wrong = Array.from({ length: 20 }, (_, done) => placeIn(withBalls, done)).filter((p) => p.contrast);
    expect(wrong).toMatchObject([{ strike: false }]);
  });

  it("makes identifiers the server takes", () => {
    expect(newId()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(newId()).not.toBe(newId());
  });
});
