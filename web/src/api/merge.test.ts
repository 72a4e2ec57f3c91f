import { describe, expect, it } from "vitest";
import { differences, merge } from "./merge";

const COUNTS = { counts: (path: string) => path.includes("shots"), texts: (path: string) => path === "note" };

const entry = (part: object) => ({
  signs: {},
  shots: { flight: { slice: 2 } },
  kit: ["ball"],
  note: "",
  ...part,
});

describe("two sides of one thing", () => {
  it("adds up what both sides counted, the same number too", () => {
    const counts = () => true;
    const before = { before: { slice: 2 } };
    const three = { before: { slice: 3 } };
    expect(merge(before, three, structuredClone(three), { counts })).toEqual({ before: { slice: 4 } });
    expect(merge({}, { slice: 1 }, { slice: 1 } as Record<string, number>, { counts })).toEqual({ slice: 2 });
  });

  it("keeps what only one side changed", () => {
    const base = entry({});
    const mine = entry({ signs: { sway: "yes" } });
    const theirs = entry({ note: "Windy." });
    expect(merge(base, mine, theirs, COUNTS)).toEqual(entry({ signs: { sway: "yes" }, note: "Windy." }));
  });

  it("adds up what both counted", () => {
    const mine = entry({ shots: { flight: { slice: 3, hook: 1 } } });
    const theirs = entry({ shots: { flight: { slice: 4 } } });
    expect(merge(entry({}), mine, theirs, COUNTS).shots).toEqual({ flight: { slice: 5, hook: 1 } });
  });

  it("lets a count go that one side took back", () => {
    const mine = entry({ shots: { flight: {} } });
    const theirs = entry({ shots: { flight: { slice: 2, draw: 1 } } });
    expect(merge(entry({}), mine, theirs, COUNTS).shots).toEqual({ flight: { draw: 1 } });
  });

  it("takes entries in and out of lists for both", () => {
    const mine = entry({ kit: ["ball", "rod"] });
    const theirs = entry({ kit: ["disc"] });
    expect(merge(entry({}), mine, theirs).kit).toEqual(["disc", "rod"]);
  });

  it("puts texts of both under each other, and keeps mine where a value can be only one", () => {
    const mine = entry({ note: "Mine", signs: { sway: "yes" } });
    const theirs = entry({ note: "Theirs", signs: { sway: "no" } });
    const both = merge(entry({}), mine, theirs, COUNTS);
    expect(both.note).toBe("Theirs\nMine");
    expect(both.signs).toEqual({ sway: "yes" });
  });

  it("never loses a change of theirs that mine did not touch, whatever the order", () => {
    for (let seed = 1; seed < 200; seed++) {
      const next = random(seed);
      const base = tally(next);
      const mine = changed(base, next);
      const theirs = changed(base, next);
      expect(merge(base, mine, theirs, { counts: () => true })).toEqual(
        merge(base, theirs, mine, { counts: () => true }),
      );
    }
  });

  it("names where two things differ", () => {
    expect(differences(entry({}), entry({ note: "x", signs: { sway: "no" } }))).toEqual([
      "signs.sway",
      "note",
    ]);
    expect(differences(entry({}), entry({}))).toEqual([]);
  });
});

function random(seed: number) {
  let state = seed;
  return (below: number) => {
    state = (state * 48271) % 2147483647;
    return state % below;
  };
}

function tally(next: (below: number) => number): Record<string, number> {
  return Object.fromEntries(["a", "b", "c", "d"].map((key) => [key, 5 + next(5)]));
}

function changed(base: Record<string, number>, next: (below: number) => number): Record<string, number> {
  const key = ["a", "b", "c", "d"][next(4)]!;
  return { ...base, [key]: base[key]! + next(3) };
}
