import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { StoredPlan } from "@/api/types";
import { block, CATALOGUE, LESSON, serve, show } from "@/test/fixtures";
import { plusDays, today } from "@/calendar/dates";
import { FocusKeeper } from "@/ui/FocusKeeper";
import PlanPage from "./PlanPage";

beforeEach(() => {
  vi.useFakeTimers({ toFake: ["Date"], now: new Date("2026-12-01T10:00") });
});
afterEach(() => {
  vi.useRealTimers();
  cleanup();
  vi.unstubAllGlobals();
});

const gate = { good: 8, of: 10, days: 2, coachSigns: false };
const PLAN: StoredPlan = {
  id: "p1",
  studentId: "s1",
  lessonId: "l1",
  from: "2026-12-02",
  nextLesson: "2026-12-15",
  assigned: false,
  revision: 1,
  version: 3,
  terms: { from: "2026-12-02", nextLesson: "2026-12-15" },
  changes: [],
  promised: [],
  stopped: [],
  today: "2026-12-01",
  plan: {
    route: [
      { rung: "feel", fault: "sway", drill: "disc-turn", gate, why: "works directly on sway", chance: 0.84 },
      { rung: "short", fault: "sway", drill: "disc-turn", gate, why: "goes on", chance: 0.12 },
    ],
    days: [
      {
        date: "2026-12-02",
        place: "home",
        minutes: 13.3,
        blocks: [
          block({ drill: "edge-notice", kind: "refresh", sets: 1 }),
          block({ sets: 14 }),
          block({ kind: "check", sets: 2, scored: true }),
        ],
      },
      {
        date: "2026-12-05",
        place: "range",
        minutes: 30,
        blocks: [
          block({ rung: "short", sets: 24, repsPerSet: 4, balls: 24, strikes: 24, form: "range" }),
          block({ rung: "short", kind: "check", balls: 10 }),
        ],
      },
    ],
    totals: { reps: 191, balls: 34, minutes: 43.3, wantedReps: 700 },
    kit: [{ id: "disc", have: false, substitute: "a plastic plate" }],
    leftOut: [{ drill: "edge-notice", reason: "needs spikes" }],
    cautions: ["Pain means stop."],
    warnings: [{ code: "volume-short", text: "191 of the 700 reps fit." }],
  },
};
const DECIDED = { ...LESSON, focus: ["sway"] };

function open(answers: Record<string, unknown>) {
  const calls = serve({
    "GET /api/lessons/l1": DECIDED,
    "GET /api/catalogue?hand=right": CATALOGUE,
    "GET /api/lessons/l1/plan/practised": [],
    ...answers,
  });
  show(<PlanPage />, { path: "/lessons/:id/plan", at: "/lessons/l1/plan" });
  return calls;
}

describe("the plan page", () => {
  it("asks for a decision first", async () => {
    open({ "GET /api/lessons/l1": LESSON });
    expect(await screen.findByText(/Decide in the/)).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Draft the plan" })).toBeNull();
  });

  it("drafts from the day after the lesson to the day chosen, and hands over", async () => {
    const calls = open({
      "PUT /api/lessons/l1/plan": PLAN,
      "POST /api/plans/p1/assignment": { ...PLAN, assigned: true },
    });
    fireEvent.click(await screen.findByRole("button", { name: "Draft the plan" }));
    await screen.findByRole("heading", { name: "The route" });
    expect(calls.find((c) => c.request === "PUT /api/lessons/l1/plan")?.body).toEqual({
      from: "2026-12-02",
      nextLesson: "2026-12-15",
    });
    fireEvent.click(screen.getByRole("button", { name: "Hand it over" }));
    expect(await screen.findByText("The student has it")).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Hand it over" })).toBeNull();
  });

  it("is handed over with hardly a gate to expect only once the coach has seen that", async () => {
    const route = PLAN.plan.route.map((step) => ({ ...step, chance: 0.06 }));
    const few = { ...PLAN, plan: { ...PLAN.plan, route } };
    const calls = open({
      "GET /api/lessons/l1/plan": few,
      "POST /api/plans/p1/assignment": { ...few, assigned: true },
    });
    fireEvent.click(await screen.findByRole("button", { name: "Hand it over" }));
    expect((await screen.findByRole("dialog")).textContent).toContain("0.1 gates can be expected");
    expect(calls.some((c) => c.request.startsWith("POST"))).toBe(false);
    fireEvent.click(screen.getByText("Hand it over all the same"));
    expect(await screen.findByText("The student has it")).toBeTruthy();
  });

  it("says what was refused", async () => {
    open({
      "PUT /api/lessons/l1/plan": new Response('{"detail":"nextLesson must be after from."}', {
        status: 422,
      }),
    });
    fireEvent.click(await screen.findByRole("button", { name: "Draft the plan" }));
    expect((await screen.findByRole("alert")).textContent).toContain("must be after");
  });

  it("reads like a plan: totals, warnings, route, kit, cautions, what was left out, days", async () => {
    open({ "GET /api/lessons/l1/plan": PLAN });
    await screen.findByRole("heading", { name: "The route" });
    const text = document.body.textContent;
    expect(text).toContain("2 days, 191 reps of which 34 balls, 43 minutes");
    expect(text).toContain("191 of the 700 reps fit.");
    expect(text).toContain("gate 8 of 10 on 2 days");
    expect(text).toContain("Flying disc – instead: a plastic plate");
    expect(text).toContain("Edge noticing: needs spikes");
    expect(text).toContain("Pain means stop.");
    expect(text).toContain("24 sets of 4, 24 balls");
    expect(text).toContain("ten scored balls");
    const stairs = screen.getByRole("group", { name: /^The climb/ });
    expect(stairs.getAttribute("aria-label")).toContain("Feel: Disc turn, 84 % through by the next lesson");
    expect(within(stairs).getByText("12 %")).toBeTruthy();
  });

  it("fills what was done once the student has it", async () => {
    open({
      "GET /api/lessons/l1/plan": { ...PLAN, assigned: true },
      "GET /api/lessons/l1/plan/practised": ["2026-12-02"],
    });
    await waitFor(() => expect(screen.getByText("done")).toBeTruthy());
    expect(screen.getByRole("button", { name: /70 reps, done/ })).toBeTruthy();
  });

  const OFFERS = {
    reps: 191,
    gates: 1.2,
    offers: [
      {
        code: "later-lesson",
        text: "The next lesson a week later",
        reps: 400,
        gates: 1.9,
        terms: { from: "2026-12-02", nextLesson: "2026-12-22" },
      },
    ],
  };
  const laid = (body: unknown) => ({
    ...PLAN,
    terms: body,
    nextLesson: (body as StoredPlan["terms"]).nextLesson,
  });
  const terms = (calls: ReturnType<typeof open>) =>
    calls.filter((c) => c.request === "PUT /api/lessons/l1/plan").at(-1)?.body as StoredPlan["terms"];

  it("moves, lengthens and locks the chosen block, and takes it back", async () => {
    const calls = open({ "GET /api/lessons/l1/plan": PLAN, "PUT /api/lessons/l1/plan": laid });
    const first = await screen.findByRole("button", { name: /Disc turn, feel, 70 reps/ });
    fireEvent.focus(first);
    fireEvent.click(screen.getByRole("button", { name: "More" }));
    await waitFor(() =>
      expect(terms(calls)?.edits?.locked[0]).toMatchObject({ date: "2026-12-02", sets: 15 }),
    );
    fireEvent.keyDown(first, { key: "ArrowRight" });
    await waitFor(() => expect(terms(calls).edits?.dropped).toHaveLength(1));
    expect(terms(calls).edits?.locked[0]).toMatchObject({ date: "2026-12-05" });
    await waitFor(() =>
      expect(screen.getByRole("button", { name: "Undo" })).toHaveProperty("disabled", false),
    );
    fireEvent.click(screen.getByRole("button", { name: "Undo" }));
    await waitFor(() => expect(terms(calls).edits?.dropped).toEqual([]));
    expect(await screen.findByText(/One change to the planner/)).toBeTruthy();
  });

  it("shows which rule a change would break and keeps the plan", async () => {
    open({
      "GET /api/lessons/l1/plan": PLAN,
      "PUT /api/lessons/l1/plan": new Response('{"detail":"Wednesday has 15 minutes; this would take 19."}', {
        status: 422,
      }),
    });
    fireEvent.focus(await screen.findByRole("button", { name: /Disc turn, feel, 70 reps/ }));
    fireEvent.click(screen.getByRole("button", { name: "More" }));
    expect((await screen.findByRole("alert")).textContent).toContain("15 minutes");
    expect(screen.getByRole("button", { name: "Undo" })).toHaveProperty("disabled", true);
  });

  it("keeps the focus on a block that is moved, and on the next one when it is dropped", async () => {
    const moved = (body: unknown) => {
      const { locked = [] } = (body as StoredPlan["terms"]).edits ?? {};
      const [first, second] = PLAN.plan.days;
      const days =
        locked.length > 0 ? [{ ...second!, blocks: [...first!.blocks, ...second!.blocks] }] : [second!];
      return { ...laid(body), plan: { ...PLAN.plan, days } };
    };
    open({ "GET /api/lessons/l1/plan": PLAN, "PUT /api/lessons/l1/plan": moved });
    render(<FocusKeeper />);
    const first = await screen.findByRole("button", { name: /^Wed 2 Dec: Disc turn/ });
    first.focus();
    fireEvent.keyDown(first, { key: "ArrowRight" });
    const there = await screen.findByRole("button", { name: /^Sat 5 Dec: Disc turn, feel/ });
    await waitFor(() => expect(document.activeElement).toBe(there));
    fireEvent.keyDown(there, { key: "Delete" });
    await waitFor(() => expect(screen.queryByRole("button", { name: /Disc turn, feel/ })).toBeNull());
    await waitFor(() => expect(document.activeElement).not.toBe(document.body));
  });

  it("leaves no draft behind when the only change of a handed-over plan is undone", async () => {
    const handed = { ...PLAN, assigned: true };
    let drafted = false;
    const calls = open({
      "GET /api/lessons/l1/plan": () => (drafted ? PLAN : handed),
      "PUT /api/lessons/l1/plan": (body: unknown) => {
        drafted = true;
        return laid(body);
      },
      "DELETE /api/lessons/l1/plan": () => {
        drafted = false;
        return new Response(null, { status: 204 });
      },
    });
    const first = await screen.findByRole("button", { name: /^Wed 2 Dec: Disc turn/ });
    fireEvent.keyDown(first, { key: "+" });
    await waitFor(() =>
      expect(screen.getByRole("button", { name: "Undo" })).toHaveProperty("disabled", false),
    );
    fireEvent.click(screen.getByRole("button", { name: "Undo" }));
    await waitFor(() => expect(calls.map((c) => c.request)).toContain("DELETE /api/lessons/l1/plan"));
    expect(drafted).toBe(false);
    await waitFor(() =>
      expect(screen.getByRole("button", { name: "Redo" })).toHaveProperty("disabled", false),
    );
    fireEvent.click(screen.getByRole("button", { name: "Redo" }));
    await waitFor(() => expect(drafted).toBe(true));
  });

  it("names what is stopped for pain, and lays the rest without it", async () => {
    const ahead = plusDays(today(), 2);
    const stored = {
      ...PLAN,
      nextLesson: plusDays(today(), 9),
      stopped: [{ drill: "disc-turn", since: today() }],
      plan: { ...PLAN.plan, days: [{ ...PLAN.plan.days[0]!, date: ahead }] },
    };
    const calls = open({
      "GET /api/lessons/l1/plan": { ...stored, assigned: true },
      "POST /api/plans/p1/laid-again": { ...stored, assigned: true, plan: { ...stored.plan, days: [] } },
    });
    expect((await screen.findByText("Stopped for pain")).closest("p")!.textContent).toContain(
      "on one day to come",
    );
    expect(screen.getAllByText("· stopped for pain").length).toBeGreaterThan(0);
    fireEvent.click(screen.getByRole("button", { name: "Lay the rest without it" }));
    await waitFor(() => expect(screen.queryByText("Stopped for pain")).toBeNull());
    expect(calls.some((c) => c.request === "POST /api/plans/p1/laid-again")).toBe(true);
  });

  it("counts what is left apart from what lies behind", async () => {
    const behind = { days: 1, reps: 70, balls: 0, minutes: 12 };
    open({
      "GET /api/lessons/l1/plan": {
        ...PLAN,
        plan: { ...PLAN.plan, totals: { ...PLAN.plan.totals, reps: 121, behind } },
      },
    });
    await screen.findByRole("heading", { name: "The route" });
    expect(document.body.textContent).toContain("1 day left, 121 reps of which 34 balls");
    expect(document.body.textContent).toContain("Behind: 1 day, 70 reps of which 0 balls");
  });

  it("swaps a drill for another with its reason", async () => {
    const calls = open({
      "GET /api/lessons/l1/plan": PLAN,
      "PUT /api/lessons/l1/plan": laid,
      "GET /api/lessons/l1/plan/alternatives?fault=sway&rung=feel": [
        { drill: "disc-turn", why: "works directly" },
        { drill: "edge-notice", why: "helps with sway" },
      ],
    });
    fireEvent.focus(await screen.findByRole("button", { name: /Disc turn, feel, 70 reps/ }));
    fireEvent.click(screen.getByRole("button", { name: "Swap the drill" }));
    await screen.findByText("helps with sway");
    fireEvent.click(screen.getByRole("button", { name: "Take" }));
    await waitFor(() =>
      expect(terms(calls)?.edits?.chosen).toEqual([{ fault: "sway", rung: "feel", drill: "edge-notice" }]),
    );
  });

  it("makes a drill the coach's first choice from now on, and this plan's too", async () => {
    const calls = open({
      "GET /api/lessons/l1/plan": PLAN,
      "PUT /api/lessons/l1/plan": laid,
      "GET /api/first-choices": [],
      "PUT /api/first-choices/sway/feel": [{ fault: "sway", rung: "feel", drills: ["edge-notice"] }],
      "GET /api/lessons/l1/plan/alternatives?fault=sway&rung=feel": [
        { drill: "disc-turn", why: "works directly on sway" },
        { drill: "edge-notice", why: "works directly on sway" },
      ],
    });
    fireEvent.focus(await screen.findByRole("button", { name: /Disc turn, feel, 70 reps/ }));
    fireEvent.click(screen.getByRole("button", { name: "Swap the drill" }));
    fireEvent.click(
      await screen.findByRole("button", { name: "Edge noticing: my first choice from now on" }),
    );
    await waitFor(() =>
      expect(terms(calls).edits?.chosen).toEqual([{ fault: "sway", rung: "feel", drill: "edge-notice" }]),
    );
    expect(calls.find((c) => c.request === "PUT /api/first-choices/sway/feel")?.body).toEqual({
      drills: ["edge-notice"],
    });
  });

  it("is cut into the coach's own sets", async () => {
    const calls = open({ "GET /api/lessons/l1/plan": PLAN, "PUT /api/lessons/l1/plan": laid });
    fireEvent.change(await screen.findByLabelText("Sets of"), { target: { value: "5" } });
    await waitFor(() => expect(terms(calls)?.sets).toEqual({ size: 5 }));
    await waitFor(() =>
      expect(screen.getByLabelText("Reps a day without a ball")).toHaveProperty("disabled", false),
    );
    fireEvent.change(screen.getByLabelText("Reps a day without a ball"), { target: { value: "100" } });
    await waitFor(() => expect(terms(calls).sets).toEqual({ size: 5, repsADay: 100 }));
  });

  it("offers what would help, with its effect, and takes it with one tap", async () => {
    const calls = open({
      "GET /api/lessons/l1/plan": PLAN,
      "PUT /api/lessons/l1/plan": laid,
      "GET /api/lessons/l1/plan/offers": OFFERS,
    });
    const offer = await screen.findByText(/week later/);
    expect(offer.textContent).toContain("+0.7 gates, +209 reps");
    fireEvent.click(screen.getByRole("button", { name: /^Take: The next lesson/ }));
    await waitFor(() => expect(terms(calls)?.nextLesson).toBe("2026-12-22"));
    await waitFor(() => expect(screen.getByLabelText("Next lesson")).toHaveProperty("value", "2026-12-22"));
  });

  it("keeps a plan as a starting point and starts another from it", async () => {
    const template = {
      id: "t1",
      name: "Sway, two weeks",
      days: 13,
      edits: {
        locked: [],
        dropped: [],
        chosen: [{ fault: "sway", rung: "feel", drill: "disc-turn" }],
        skipped: [],
      },
    };
    const calls = open({
      "GET /api/lessons/l1/plan": PLAN,
      "GET /api/templates": [template],
      "POST /api/templates": template,
      "PUT /api/lessons/l1/plan/template/t1": { ...PLAN, nextLesson: "2026-12-20" },
    });
    fireEvent.click(await screen.findByRole("button", { name: "Starting points" }));
    fireEvent.change(await screen.findByLabelText("Keep this plan as"), { target: { value: "Mine" } });
    fireEvent.click(screen.getByRole("button", { name: "Keep it" }));
    await waitFor(() =>
      expect(calls.find((c) => c.request === "POST /api/templates")?.body).toEqual({
        lessonId: "l1",
        name: "Mine",
      }),
    );
    fireEvent.click(await screen.findByRole("button", { name: "Start from Sway, two weeks" }));
    await waitFor(() => expect(screen.getByLabelText("Next lesson")).toHaveProperty("value", "2026-12-20"));
    expect(screen.getByRole("button", { name: "Undo" })).toHaveProperty("disabled", false);
  });

  it("says what a new draft would change of the plan the student has", async () => {
    open({ "GET /api/lessons/l1/plan": { ...PLAN, changes: ["Saturday 5 December: free now."] } });
    expect(await screen.findByText("Saturday 5 December: free now.")).toBeTruthy();
    expect(screen.getByRole("button", { name: "Hand the changes over" })).toBeTruthy();
  });
});
