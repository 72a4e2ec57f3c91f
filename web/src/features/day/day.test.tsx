import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Wire } from "@/api/types";
import { CATALOGUE, LESSON, serve, show } from "@/test/fixtures";
import DayPage from "./DayPage";

const entry = (kind: string, part: Partial<Wire["AttentionView"]> = {}): Wire["AttentionView"] => ({
  studentId: "s1",
  student: "Ferris Dunmore",
  kind,
  key: `${kind} key`,
  since: "2026-12-02",
  planId: "p1",
  lessonId: "l1",
  reason: `Because of ${kind}.`,
  ...part,
});

const DAY: Wire["CoachsDay"] = { date: "2026-12-02", students: 3, lessons: [], attention: [], waiting: 0 };
const DONE = new Response(null, { status: 204 });

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the coach's day", () => {
  const open = (day: Partial<Wire["CoachsDay"]>, others: Record<string, unknown> = {}) => {
    const calls = serve({
      "GET /api/day?most=50": { ...DAY, ...day },
      "GET /api/session": { firstRun: false, demo: [], daysAhead: 0 },
      "GET /api/catalogue?hand=right": CATALOGUE,
      ...others,
    });
    show(<DayPage />, { others: ["/lessons/:id"] });
    return calls;
  };

  it("says how to begin, and that nobody needs a word", async () => {
    open({ students: 0 });
    expect(await screen.findByText(/No students yet/)).toBeTruthy();
    cleanup();
    open({});
    expect(await screen.findByText(/Nobody, as far as/)).toBeTruthy();
    expect(screen.queryByText(/on to the next day/)).toBeNull();
  });

  it("shows what was done for a lesson and begins it", async () => {
    open(
      {
        lessons: [
          {
            studentId: "s1",
            student: "Ferris Dunmore",
            focus: ["sway"],
            done: { plannedDays: 9, doneDays: 7, plannedReps: 500, doneReps: 420 },
            feel: 4,
            rungs: [
              { fault: "sway", rung: "feel", drill: "disc-turn", standing: "passed", says: "", sets: [] },
            ],
          },
        ],
      },
      { "POST /api/students/s1/lessons": { ...LESSON, id: "l9" } },
    );
    const lesson = (await screen.findByText("Ferris Dunmore")).closest("li")!;
    expect(lesson.textContent).toContain("7 of 9 days, 420 reps, last felt rather clear");
    expect(lesson.textContent).toContain("Passed: feel");
    fireEvent.click(within(lesson).getByText("Begin the lesson"));
    expect(await screen.findByText("Now at /lessons/:id")).toBeTruthy();
  });

  it.each([
    ["pain", { drill: "disc-turn" }, "Lift the stop", "DELETE /api/students/s1/stops/disc-turn"],
    [
      "gate-waits",
      { fault: "sway", rung: "feel" },
      "Sign the gate",
      "POST /api/students/s1/gates/sway/feel/signature",
    ],
    ["lost", {}, "Seen", "POST /api/day/seen"],
  ])("settles %s in place", async (kind, part, button, request) => {
    const calls = open({ attention: [entry(kind, part)] }, { [request]: DONE });
    fireEvent.click(await screen.findByText(button));
    await waitFor(() => expect(calls.map((c) => c.request)).toContain(request));
    await waitFor(() =>
      expect(calls.filter((c) => c.request === "GET /api/day?most=50").length).toBeGreaterThan(1),
    );
  });

  it("says what a smaller plan would ask for, makes it once and takes it back", async () => {
    const calls = open(
      { attention: [entry("absent")] },
      {
        "GET /api/plans/p1/smaller": {
          minutes: 20,
          minutesThen: 12,
          reps: 300,
          repsThen: 180,
          changes: ["Less."],
        },
        "POST /api/plans/p1/laid-again": {},
      },
    );
    const sent = () => calls.filter((c) => c.request === "POST /api/plans/p1/laid-again").map((c) => c.body);
    fireEvent.click(await screen.findByText("Make the plan smaller"));
    await screen.findByText("12 instead of 20 minutes");
    expect(screen.getByRole("dialog").textContent).toContain("180 instead of 300 reps");
    expect(sent()).toEqual([]);
    fireEvent.click(await screen.findByRole("button", { name: "Make it smaller" }));
    fireEvent.click(await screen.findByRole("button", { name: "Undo" }));
    await waitFor(() => expect(sent()).toEqual([{ smaller: true }, { smaller: false }]));
    await waitFor(() => expect(screen.queryByText(/asks for 12/)).toBeNull());
    cleanup();
    open({ attention: [entry("absent", { easedOn: "2026-12-01" })] });
    expect(await screen.findByText("smaller since Tue 1 Dec")).toBeTruthy();
    expect(screen.queryByText("Make the plan smaller")).toBeNull();
  });

  it("shows the most urgent first and the others when asked", async () => {
    const more = [entry("absent"), entry("note", { session: "n1" })];
    const calls = open(
      { attention: [entry("absent")], waiting: 2 },
      { "GET /api/day?most=10000": { ...DAY, attention: more, waiting: 2 } },
    );
    fireEvent.click(await screen.findByRole("button", { name: "Show the other 1" }));
    await waitFor(() => expect(screen.queryByText(/Show the other/)).toBeNull());
    expect(calls.at(-1)?.request).toContain("most=10000");
  });

  it("answers a note, and shows a refusal", async () => {
    const path = "POST /api/students/s1/notes/n1/answers";
    const calls = open({ attention: [entry("note", { session: "n1" })] }, { [path]: [] });
    fireEvent.change(await screen.findByLabelText("Answer Ferris Dunmore"), {
      target: { value: " Slower. " },
    });
    fireEvent.click(screen.getByText("Send"));
    await waitFor(() => expect(calls.find((c) => c.request === path)?.body).toEqual({ said: "Slower." }));
    cleanup();
    open({ attention: [entry("absent")] });
    fireEvent.click(await screen.findByText("Make the plan smaller"));
    expect((await screen.findByRole("alert")).textContent).toContain("not here");
  });
});
