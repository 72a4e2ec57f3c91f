import { describe, expect, it } from "vitest";
import { block, CATALOGUE } from "@/test/fixtures";
import { asidesOf, below, firstTen } from "./asides";
import { following, firstOpen, placeIn, type RunBlock } from "./session";
import { speedsAround } from "./SetQuestions";
import { formNow, offered } from "./turns";

const rules = CATALOGUE.practice;
const long: RunBlock = block({ sets: 4, repsPerSet: 5 });

describe("a session that answers", () => {
  it("offers something easier after misses running, once", () => {
    expect(offered(long, "+--", [], 0, rules)).toBeNull();
    expect(offered(long, "+---", [], 0, rules)).toBe("misses");
    expect(offered(long, "+---", [], 4, rules), "declined").toBeNull();
    expect(offered(long, "+---", [{ at: 4, kind: "easier" }], 0, rules), "taken").toBeNull();
    expect(offered(long, "+------", [{ at: 4, kind: "easier" }], 0, rules), "it goes on").toBe("misses");
    expect(offered(long, "+--o-", [], 0, rules), "wrong on purpose breaks no run").toBe("misses");
  });

  it("offers something harder after a good run, and nothing in a check", () => {
    expect(offered(long, "-++++++++", [], 0, rules)).toBe("good");
    expect(offered(block({ kind: "check" }), "---", [], 0, rules)).toBeNull();
  });

  it("knows the form it has come to", () => {
    expect(formNow([])).toBeNull();
    const turns = [
      { at: 3, kind: "easier" },
      { at: 12, kind: "harder" },
      { at: 14, kind: "rehearse" },
    ];
    expect(formNow(turns)).toBe("harder");
  });

  it("puts rehearsals in before the next strike and goes on with the rhythm", () => {
    const short = block({ rung: "short", sets: 2, repsPerSet: 4, strikes: 2, form: "range" });
    const turns = [{ at: 3, kind: "rehearse" }];
    const strikes = Array.from({ length: 10 }, (_, done) => placeIn(short, done, turns, 2).strike);
    expect(strikes).toEqual([false, false, false, false, false, true, false, false, false, true]);
    expect(placeIn(short, 9, turns, 2)).toMatchObject({ wanted: 10, full: false });
    expect(placeIn(short, 10, turns, 2).full).toBe(true);
  });
});

describe("what comes on top", () => {
  it("is ten first after days without practice", () => {
    const blocks = [block({ kind: "refresh" }), long];
    const ten = firstTen(blocks, ["2026-11-27"], "2026-12-01", [], 3);
    expect(ten).toMatchObject({ aside: "first-ten", kind: "check", sets: 2, repsPerSet: 5, scored: true });
    expect(firstTen(blocks, ["2026-11-29"], "2026-12-01", [], 3)).toBeUndefined();
    expect(firstTen(blocks, [], "2026-12-01", [], 3), "nothing to have kept").toBeUndefined();
    expect(firstTen(blocks, ["2026-11-27"], "2026-12-01", ["disc-turn"], 3), "it hurts").toBeUndefined();
  });

  it("is a set on the rung below where it was lost, and back", () => {
    const short = block({ rung: "short", sets: 2, repsPerSet: 4, strikes: 2, balls: 2, form: "range" });
    const down = below(short, 1, CATALOGUE);
    expect(down).toMatchObject({
      aside: "below",
      rung: "feel",
      form: "none",
      strikes: 0,
      during: 1,
      sets: 1,
    });
    expect(down.lowest).toBe(false);
    expect(below(long, 0, CATALOGUE), "on the lowest its easier form").toMatchObject({
      rung: "feel",
      lowest: true,
    });
    const blocks: RunBlock[] = [block(), short, down];
    expect(following(blocks, 2)).toBe(1);
    expect(following(blocks, 0)).toBe(1);
    expect(following(blocks, 1), "what came on top is not run again").toBe(3);
  });

  it("goes first, and is found again on another phone", () => {
    const ten = { ...block({ kind: "check", sets: 2 }), aside: "first-ten" };
    const blocks: RunBlock[] = [block(), ten];
    expect(firstOpen(blocks, { blocks: [] }, [])).toBe(1);
    expect(following(blocks, 1)).toBe(0);
    const done = [{ block: 1, marks: "+++", noticed: [], told: {}, ...ten }];
    expect(asidesOf(done as never, [block()])).toMatchObject([{ aside: "first-ten", sets: 2 }]);
  });
});

describe("speeds to choose from", () => {
  it("lie around what was asked for, within what there is", () => {
    expect(speedsAround(70)).toEqual([50, 60, 70, 80, 90]);
    expect(speedsAround(100)).toEqual([60, 70, 80, 90, 100]);
    expect(speedsAround(20)).toEqual([10, 20, 30, 40, 50]);
  });
});
