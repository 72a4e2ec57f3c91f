import { describe, expect, it } from "vitest";
import { ladderShape, type Rung } from "./ladderShape";

const rung = (stage: string, part: Partial<Rung> = {}): Rung => ({ stage, struck: 0, solid: 0, ...part });

describe("the ladder", () => {
  it("puts every stage on the same scales, the shortest ball left and the line in the middle", () => {
    const shape = ladderShape([
      rung("before", { carry: { balls: [100, 110], mean: 105 }, offline: { balls: [-8], mean: -8 } }),
      rung("after", { carry: { balls: [120], mean: 120 }, offline: { balls: [4], mean: 4 } }),
    ]);
    const [first, last] = shape.rungs;
    const left = first!.carryMarks!.balls[0]!;
    const right = last!.carryMarks!.balls[0]!;
    expect(left + right).toBe(shape.carryWidth);
    expect(first!.carryMarks!.balls[1]).toBe(shape.carryWidth / 2);
    const middle = shape.offlineWidth / 2;
    expect(middle - first!.offlineMarks!.mean).toBe(2 * (last!.offlineMarks!.mean - middle));
  });

  it("has shares of what was counted and no column for what was not", () => {
    const shape = ladderShape([rung("before", { struck: 8, solid: 2 }), rung("a")]);
    expect(shape.rungs.map((r) => r.share)).toEqual([0.25, 0]);
    expect([shape.hasStrikes, shape.hasCarry, shape.hasOffline]).toEqual([true, false, false]);
  });

  it("stays inside where all balls are alike or all on line", () => {
    const shape = ladderShape([
      rung("before", { carry: { balls: [100, 100], mean: 100 }, offline: { balls: [0], mean: 0 } }),
    ]);
    expect(shape.rungs[0]!.carryMarks!.mean).toBe(shape.carryWidth / 2);
    expect(shape.rungs[0]!.offlineMarks!.mean).toBe(shape.offlineWidth / 2);
  });
});
