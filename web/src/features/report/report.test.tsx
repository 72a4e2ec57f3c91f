import { cleanup, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Progress, Thread } from "@/api/types";
import { CATALOGUE, LESSON, meWith, block, serve, show } from "@/test/fixtures";
import ReportPage from "./ReportPage";
import { reportOf } from "./reportShape";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const change = (
  id: string,
  label: string,
  verdict: string,
  concerns = true,
): Progress["changes"][number] => ({
  id,
  label,
  unit: "balls",
  tries: "balls",
  then: "6 of 10",
  now: "1 of 10",
  past: false,
  concerns,
  comparison: { difference: -0.5, low: -0.75, high: -0.08, verdict },
  said: `${label} said.`,
});

const PROGRESS: Progress = {
  since: "2026-11-17",
  sinceLesson: "l0",
  worked: ["sway"],
  done: { plannedDays: 8, doneDays: 3, plannedReps: 600, doneReps: 210 },
  promised: [
    { fault: "sway", rung: "feel", drill: "disc-turn", chance: 0.8, standing: "passed", checks: [8, 9] },
    { fault: "sway", rung: "rehearse", drill: "disc-turn", chance: 0.6, checks: [] },
  ],
  changes: [
    change("strike:fat", "fat", "cannot-tell"),
    change("flight:slice", "slice", "cannot-tell"),
    change("drift", "pelvis travel", "better"),
  ],
  signs: [],
  stopped: [],
  between: [],
  notes: [],
};

const point = (value: number) => ({ value, low: value, high: value, of: 10 });
const THREAD: Thread = {
  all: 3,
  series: [{ id: "flight:slice", label: "Balls: slice", unit: "%", tries: "balls", better: "lower" }],
  between: [],
  knots: ["l0", "l1", "l2"].map((lessonId, i) => ({
    lessonId,
    heldOn: `2026-11-${17 + i}`,
    focus: [],
    before: { "flight:slice": point(60 - i) },
    after: {},
  })),
};

describe("a report", () => {
  const plan = meWith([block({ kind: "main", sets: 4 })]).plan!;
  const report = reportOf(LESSON, PROGRESS, plan, THREAD, CATALOGUE);

  it("says what can be told, and of the rest what the thread shows", () => {
    expect(report.changes.map((c) => c.name)).toEqual(["Pelvis travel", "Slice"]);
    expect(report.rest).toMatch(/^Nothing else/);
    expect(report.passed).toEqual(["Feel: Disc turn"]);
    expect(report.practised).toContain("3 of 8 days, 210 of 600 repetitions (35 %)");
  });

  it("does not speak of other changes where there was none", () => {
    const still = PROGRESS.changes.map((c) => ({
      ...c,
      comparison: { ...c.comparison, verdict: "cannot-tell" },
    }));
    const quiet = reportOf(LESSON, { ...PROGRESS, changes: still }, plan, THREAD, CATALOGUE);
    expect(quiet.rest).toBe("Nothing that was measured changed by more than chance.");
  });

  it("begins with the whole work, and what is no longer seen", () => {
    const whole = {
      since: "2026-10-06",
      lesson: "l9",
      changes: [change("flight:slice", "slice", "better")],
      signs: [
        { sign: "pelvis-drifts-back", then: true, now: false },
        { sign: "little-hip-turn", then: true, now: true },
      ],
    };
    expect(reportOf(LESSON, { ...PROGRESS, whole }, plan, THREAD, CATALOGUE).whole).toEqual({
      since: "Tuesday 6 October",
      changes: [{ name: "Slice", said: "6 of 10, now 1 of 10: better." }],
      gone: "No longer seen: Pelvis slides away.",
    });
    expect(report.whole).toBeUndefined();
  });

  it("ends its thread with this lesson", () => {
    expect(report.thread?.thread.knots.map((k) => k.lessonId)).toEqual(["l0", "l1"]);
  });

  it("has no word on a next plan where there is none", () => {
    expect(reportOf(LESSON, PROGRESS, undefined, THREAD, CATALOGUE).next).toBeUndefined();
    const first = { worked: [], promised: [], changes: [], signs: [], between: [], stopped: [], notes: [] };
    const { practised, rest } = reportOf(
      LESSON,
      first,
      undefined,
      { ...THREAD, knots: THREAD.knots.slice(1) },
      CATALOGUE,
    );
    expect(practised).toBe("This was the first lesson.");
    expect(rest).toBeUndefined();
  });

  it("is not the first where a lesson before it was not measured, and names what is stopped", () => {
    const unmeasured = {
      worked: [],
      promised: [],
      changes: [],
      signs: [],
      between: [],
      stopped: [],
      notes: [],
    };
    const done = { plannedDays: 4, doneDays: 2, plannedReps: 100, doneReps: 40 };
    const knots = THREAD.knots.map((k) => ({ ...k, done }));
    const stopped = [{ drill: "disc-turn", since: "2026-11-18" }];
    const { practised, next } = reportOf(
      LESSON,
      unmeasured,
      { ...plan, stopped, plan: { ...plan.plan, route: [{ ...plan.plan.route[0]!, drill: "disc-turn" }] } },
      { ...THREAD, knots },
      CATALOGUE,
    );
    expect(practised).toBe("Since Tuesday 17 November: 2 of 4 days, 40 of 100 repetitions (40 %).");
    expect(next?.steps[0]?.stopped).toBe(true);
  });

  it("is shown as one page, before there is a plan as well", async () => {
    serve({
      "GET /api/lessons/l1": LESSON,
      "GET /api/lessons/l1/progress?for=student": PROGRESS,
      "GET /api/students/s1/thread?last=500&for=student": THREAD,
      "GET /api/catalogue?hand=right&units=metric": CATALOGUE,
      "GET /api/catalogue?hand=right": CATALOGUE,
    });
    show(<ReportPage />, { path: "/lessons/:id/report", at: "/lessons/l1/report" });
    expect(await screen.findByRole("heading", { name: "Ferris Dunmore" })).toBeTruthy();
    expect(screen.getByText("pelvis travel said.", { exact: false })).toBeTruthy();
    expect(screen.getByRole("img", { name: /Balls: slice/ })).toBeTruthy();
    expect(screen.queryByText(/What to do until/)).toBeNull();
  });
});
