import { describe, expect, it } from "vitest";
import { block } from "@/test/fixtures";
import {
  chose,
  countOf,
  dropped,
  editsOf,
  joined,
  locked,
  moved,
  planners,
  skipped,
  type Terms,
  unlocked,
} from "./edits";

const TERMS: Terms = { from: "2026-12-02", nextLesson: "2026-12-15" };
const feel = block({ sets: 14 });

describe("a coach's edits", () => {
  it("lock a block with its sets, once per day, fault and kind", () => {
    const twice = locked(locked(TERMS, "2026-12-02", feel), "2026-12-02", feel, 9);
    expect(editsOf(twice).locked).toEqual([
      {
        date: "2026-12-02",
        fault: "sway",
        rung: "feel",
        drill: "disc-turn",
        kind: "main",
        sets: 9,
        repsPerSet: 5,
      },
    ]);
    expect(editsOf(unlocked(twice, "2026-12-02", feel)).locked).toEqual([]);
    expect(editsOf(TERMS).locked).toEqual([]);
  });

  it("join a second drill to a rung, take it apart, and let it go with the drill it went along with", () => {
    const both = joined(TERMS, "sway", "feel", "toe-prop");
    expect(editsOf(both).joined).toEqual([{ fault: "sway", rung: "feel", drill: "toe-prop" }]);
    expect(countOf(both)).toBe(1);
    expect(editsOf(joined(both, "sway", "feel", "")).joined).toEqual([
      { fault: "sway", rung: "feel", drill: "" },
    ]);
    expect(editsOf(chose(both, "sway", "feel", "hop")).joined).toEqual([]);
  });

  it("move a block: the first day does without it, the other keeps it", () => {
    const there = moved(TERMS, "2026-12-02", feel, "2026-12-05");
    expect(editsOf(there).dropped).toEqual([
      { date: "2026-12-02", fault: "sway", rung: "feel", kind: "main" },
    ]);
    expect(editsOf(there).locked.map((l) => l.date)).toEqual(["2026-12-05"]);
    const back = moved(there, "2026-12-05", feel, "2026-12-02");
    expect(editsOf(back).dropped.map((d) => d.date)).toEqual(["2026-12-05"]);
    expect(editsOf(back).locked.map((l) => l.date)).toEqual(["2026-12-02"]);
    expect(moved(TERMS, "2026-12-02", feel, "2026-12-02")).toBe(TERMS);
  });

  it("drop a block, also a locked one", () => {
    const gone = dropped(locked(TERMS, "2026-12-02", feel), "2026-12-02", feel);
    expect(editsOf(gone).locked).toEqual([]);
    expect(editsOf(dropped(gone, "2026-12-02", feel)).dropped).toHaveLength(1);
  });

  it("choose a drill or skip a rung, and free the blocks locked there", () => {
    const terms = locked(TERMS, "2026-12-02", feel);
    const other = chose(chose(terms, "sway", "feel", "outer-prop"), "sway", "feel", "rod-underfoot");
    expect(editsOf(other).chosen).toEqual([{ fault: "sway", rung: "feel", drill: "rod-underfoot" }]);
    expect(editsOf(other).locked).toEqual([]);
    expect(editsOf(skipped(terms, "sway", "feel")).skipped).toEqual([{ fault: "sway", rung: "feel" }]);
    expect(countOf(skipped(other, "sway", "short"))).toBe(2);
  });

  it("go back to the planner's own in the same days", () => {
    const instead = [{ fault: "sway", rung: "feel", drill: "rod-underfoot" }];
    const held = { ...TERMS, edits: { ...editsOf(TERMS), instead } };
    const terms = { ...skipped(held, "sway", "feel"), firstFaultOnly: true };
    expect(countOf(planners(terms))).toBe(0);
    expect(editsOf(planners(terms)).instead, "what practice made of it stays").toEqual(instead);
    expect(planners(terms)).toMatchObject({
      from: TERMS.from,
      nextLesson: TERMS.nextLesson,
      firstFaultOnly: false,
    });
  });
});
