import { describe, expect, it } from "vitest";
import { block } from "@/test/fixtures";
import { dose, halfStepOf, sameWork, speedOf } from "./dose";

describe("a block in words", () => {
  it("says what is struck, with balls only where there are balls", () => {
    const short = { rung: "short", sets: 6, repsPerSet: 8, strikes: 12 };
    expect(dose(block({ ...short, form: "range", balls: 12 }))).toBe("6 sets of 8, 12 balls");
    expect(dose(block({ rung: "build", sets: 1, repsPerSet: 3, strikes: 1, form: "range" }))).toBe(
      "one set of 3, 1 ball",
    );
    expect(dose(block({ ...short, form: "brush" }))).toBe("6 sets of 8, 12 brushed");
    expect(dose(block({ ...short, form: "soft-ball" }))).toBe("6 sets of 8, 12 soft balls");
    expect(dose(block({ kind: "check", strikes: 10, form: "clip" }))).toBe("ten scored tees clipped");
    expect(dose(block({ kind: "check" }))).toBe("ten scored reps");
  });

  it("says the speed and the half-step", () => {
    expect(speedOf(block({ speed: 70 }))).toBe("70 % speed");
    expect(speedOf(block({ speed: 100 }))).toBe("full speed");
    expect(speedOf(block({ speed: 0 })), "nothing is swung").toBe("");
    expect(halfStepOf(block())).toBe("");
    expect(halfStepOf(block({ condition: "slower", conditionLabel: "Slower", conditionDo: "Twice." }))).toBe(
      "Slower: Twice.",
    );
  });

  it("finds equal days by what is done, not by the cue", () => {
    const day = [block({ kind: "refresh" }), block()];
    expect(sameWork(day, [block({ kind: "refresh" }), block({ cue: "Other" })])).toBe(true);
    expect(sameWork(day, [block({ kind: "refresh" }), block({ condition: "slower" })])).toBe(false);
    expect(sameWork(day, [block({ kind: "refresh" }), block({ joined: "toe-prop" })])).toBe(false);
    expect(sameWork(day, [block()])).toBe(false);
  });
});
