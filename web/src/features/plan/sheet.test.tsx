import { cleanup, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Plan, StoredPlan } from "@/api/types";
import { block, CATALOGUE, LESSON, serve, show, meWith } from "@/test/fixtures";
import SheetPage from "./SheetPage";
import { plusDays, today } from "@/calendar/dates";
import { cueCard, sheetOf, weeksOf } from "./sheetShape";

const day = (date: string, ...blocks: ReturnType<typeof block>[]) => ({
  date,
  place: "home",
  minutes: 12,
  blocks,
});
const STORED = meWith([block()]).plan as StoredPlan;
const PLAN: Plan = {
  ...STORED.plan,
  cautions: ["Pain means stop."],
  days: [
    day("2026-12-02", block({ sets: 3 }), block({ kind: "check", sets: 2, scored: true })),
    day("2026-12-07", block({ drill: "edge-notice", rung: "rehearse" })),
    day("2026-12-09", block({ drill: "edge-notice", rung: "rehearse" })),
  ],
};

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the plan on paper", () => {
  it("has a page a week, counted from the plan's first day", () => {
    expect(weeksOf(PLAN, "2026-12-01").map((w) => w.map((d) => d.date))).toEqual([
      ["2026-12-02", "2026-12-07"],
      ["2026-12-09"],
    ]);
  });

  it("takes the pocket card from the highest drill that needs nothing underfoot", () => {
    const drills = {
      ...CATALOGUE.drills,
      "edge-notice": { ...CATALOGUE.drills["edge-notice"]!, bare: true, cue: "Which edge?" },
    };
    const of = (plan: Plan, stopped: StoredPlan["stopped"] = []) => ({ ...STORED, plan, stopped });
    expect(cueCard(of(PLAN), { ...CATALOGUE, drills })).toMatchObject({ before: "Which edge?" });
    expect(cueCard(of(PLAN), CATALOGUE)).toMatchObject({ before: "Turn the disc" });
    expect(cueCard(of({ ...PLAN, days: [] }), CATALOGUE)).toBeUndefined();
    const hurt = [{ drill: "edge-notice", since: "2026-12-01" }];
    expect(cueCard(of(PLAN, hurt), { ...CATALOGUE, drills })).toMatchObject({ before: "Turn the disc" });
  });

  it("carries the thought of the round that comes next, and the drill that it is of", () => {
    const swings = { kind: "try", rung: "transfer", form: "course", restSeconds: 0, sets: 6, balls: 6 };
    const round = (date: string, cue: string) => ({
      ...day(date, block({ ...swings, cue })),
      place: "course",
    });
    const edge = { ...CATALOGUE.drills["edge-notice"]!, cue: "Which edge?" };
    const catalogue = { ...CATALOGUE, drills: { ...CATALOGUE.drills, "edge-notice": edge } };
    const days = [
      ...PLAN.days.slice(0, 1),
      round("2026-12-05", edge.cue),
      round("2026-12-12", "Turn the disc"),
    ];
    const stored = { ...STORED, plan: { ...PLAN, days } };
    const card = cueCard(stored, catalogue, "2026-12-03")!;
    expect(card.before).toBe(edge.cue);
    expect(card.after).toContain(edge.name.toLowerCase());
    expect(cueCard(stored, catalogue, "2026-12-06")!.before).toBe("Turn the disc");
    expect(sheetOf(LESSON, stored, CATALOGUE).weeks.flat()[1]!.where).toContain("a round");
  });

  it("crosses out what is stopped for pain, on days to come", () => {
    const ahead = plusDays(today(), 3);
    const behind = plusDays(today(), -3);
    const stored = {
      ...STORED,
      from: behind,
      stopped: [{ drill: "disc-turn", since: behind }],
      plan: { ...PLAN, days: [day(behind, block()), day(ahead, block(), block({ drill: "edge-notice" }))] },
    };
    const lines = sheetOf(LESSON, stored, CATALOGUE)
      .weeks.flat()
      .flatMap((d) => d.lines);
    expect(lines.map((l) => [l.stopped, l.boxes > 0])).toEqual([
      [false, true],
      [true, false],
      [false, true],
    ]);
  });

  it("gives a box per set and per scored rep, and the cautions once", async () => {
    serve({
      "GET /api/lessons/l1": { ...LESSON, focus: ["sway"] },
      "GET /api/lessons/l1/plan": { ...STORED, plan: PLAN },
      "GET /api/catalogue?hand=right&units=metric": CATALOGUE,
      "GET /api/catalogue?hand=right": CATALOGUE,
    });
    show(<SheetPage />, { path: "/lessons/:id/plan/sheet", at: "/lessons/l1/plan/sheet" });
    const first = await screen.findByRole("region", { name: "Week 1" });
    expect(within(first).getByLabelText("3 boxes to tick")).toBeTruthy();
    expect(within(first).getByLabelText("10 boxes to tick")).toBeTruthy();
    expect(screen.getAllByText("Pain means stop.")).toHaveLength(1);
    expect(screen.getByRole("region", { name: "Card for the course" }).textContent).toContain(
      "After a bad one",
    );
  });
});
