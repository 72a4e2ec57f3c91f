import { describe, expect, it } from "vitest";
import type { Me, PlanBlock, PlanDay } from "@/api/types";
import { block } from "@/test/fixtures";
import { held, scoredIn } from "./held";
import type { Kept } from "./outbox";
import { emptyEntry } from "./session";

const gate = { good: 8, of: 10, days: 2, coachSigns: false };
const step = (rung: string) => ({ rung, fault: "sway", drill: "disc-turn", gate, why: "" });
const day = (date: string, place: string, ...blocks: PlanBlock[]): PlanDay => ({
  date,
  place,
  minutes: 10,
  blocks,
});
const on = (rung: string, kind = "main", part: Partial<PlanBlock> = {}) => block({ rung, kind, ...part });
const PLAN = {
  route: [step("feel"), step("rehearse"), step("short")],
  days: [
    day("2026-12-01", "range", on("feel", "main", { sets: 9 }), on("feel", "check")),
    day("2026-12-02", "home", on("feel"), on("feel", "check")),
    day("2026-12-03", "home", on("feel", "refresh"), on("rehearse"), on("rehearse", "check")),
    day("2026-12-05", "range", on("rehearse"), on("short"), on("rehearse", "check")),
  ],
} as NonNullable<Me["plan"]>["plan"];

const rungs = (...sets: { on: string; good: number; of: number }[]): Me["rungs"] => [
  { fault: "sway", rung: "feel", drill: "disc-turn", standing: "stay", says: "", sets },
];
const rungsOf = (found: PlanDay) => found.blocks.map((b) => `${b.kind} ${b.rung}`);

describe("a day on a phone without a signal", () => {
  const good = { on: "2026-12-01", good: 8, of: 10 };

  it("stays on the rung whose gate a check left open", () => {
    const sets = [good, { on: "2026-12-02", good: 7, of: 10 }];
    expect(rungsOf(held(PLAN.days[2]!, PLAN, rungs(...sets), []))).toEqual([
      "refresh feel",
      "main feel",
      "check feel",
    ]);
    const range = held(PLAN.days[3]!, PLAN, rungs(...sets), []);
    expect(rungsOf(range), "first balls stay").toEqual(["main feel", "main short", "check feel"]);
    expect(range.blocks[0]!.sets, "as it was done there").toBe(9);
  });

  it("plays a round all the same, as a try", () => {
    const swings = { form: "course", restSeconds: 0, sets: 6 };
    const round = day("2026-12-06", "course", on("short", "main", swings), on("short", "check"));
    const open = rungs(good, { on: "2026-12-02", good: 7, of: 10 });
    expect(rungsOf(held(round, PLAN, open, []))).toEqual(["try short"]);
    const passed = { fault: "sway", rung: "feel", on: "2026-12-02", good: 9, of: 10, lesser: false };
    const through = rungs(good).map((r) => ({ ...r, standing: "passed" }));
    expect(rungsOf(held(round, PLAN, through, [passed]))).toContain("check short");
  });

  it("goes on where two good sets passed it, the second of them on the phone", () => {
    const second = { fault: "sway", rung: "feel", on: "2026-12-02", good: 9, of: 10, lesser: false };
    expect(held(PLAN.days[2]!, PLAN, rungs(good), [second])).toEqual(PLAN.days[2]);
    expect(rungsOf(held(PLAN.days[2]!, PLAN, rungs(good), [{ ...second, good: 7 }]))).toContain("main feel");
  });

  it("does not go on by a brushed mark, nor by sets from before a step back", () => {
    const second = { fault: "sway", rung: "feel", on: "2026-12-02", good: 9, of: 10, lesser: true };
    expect(rungsOf(held(PLAN.days[2]!, PLAN, rungs(good), [second]))).toContain("main feel");
    const reopened = rungs(good, { ...good, on: "2026-12-02" }).map((r) => ({ ...r, standing: "reopened" }));
    expect(rungsOf(held(PLAN.days[2]!, PLAN, reopened, []))).toContain("main feel");
    const own = { ...second, lesser: false };
    expect(rungsOf(held(PLAN.days[2]!, PLAN, reopened, [own])), "one of two").toContain("main feel");
  });

  it("leaves a plan as it is before the first check, and what the coach locked", () => {
    expect(held(PLAN.days[2]!, PLAN, [], [])).toEqual(PLAN.days[2]);
    const locked = day("2026-12-03", "home", on("rehearse", "main", { locked: true }));
    expect(held(locked, PLAN, rungs({ ...good, good: 3 }), [])).toEqual(locked);
  });

  it("leaves of a range session's tries one after a check that was not good, and all after a good one", () => {
    const tries = [on("short", "try"), on("build", "try")];
    const range = day("2026-12-05", "range", on("rehearse"), on("rehearse", "check"), ...tries);
    const left = (set: typeof good) => rungsOf(held(range, PLAN, rungs(set), []));
    expect(left({ ...good, good: 3 })).toEqual(["main feel", "check feel", "try short"]);
    expect(left(good)).toEqual(["main feel", "check feel", "try short", "try build"]);
  });

  it("counts the checks that wait to be sent", () => {
    const entry = {
      ...emptyEntry("p", "2026-12-02"),
      blocks: [
        { block: 0, fault: "sway", drill: "disc-turn", rung: "feel", kind: "main", marks: "++++++++++" },
        { block: 1, fault: "sway", drill: "disc-turn", rung: "feel", kind: "check", marks: "+++++++--+" },
        { block: 2, fault: "sway", drill: "disc-turn", rung: "feel", kind: "check", marks: "++" },
      ],
    } as Kept["entry"];
    const kept: Kept = { id: "1", entry, planned: [], state: "unsent" };
    expect(scoredIn([kept, { ...kept, state: "sent" }])).toEqual([
      { fault: "sway", rung: "feel", on: "2026-12-02", good: 8, of: 10, lesser: false },
    ]);
  });
});
