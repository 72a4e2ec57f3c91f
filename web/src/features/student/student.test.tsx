import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Practice, RosterLine, StudentProfile, Thread } from "@/api/types";
import { plusDays, today } from "@/calendar/dates";
import { CATALOGUE, LESSON, serve, show, showRoutes } from "@/test/fixtures";
import RosterPage from "./RosterPage";
import StudentFormPage from "./StudentFormPage";
import StudentPage from "./StudentPage";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const line = (name: string, part: Partial<RosterLine> = {}): RosterLine => ({
  id: name,
  name,
  complaint: "",
  handedness: "right",
  level: "improver",
  hurt: false,
  today: today(),
  ...part,
});

describe("the roster", () => {
  const names = () =>
    screen
      .getAllByRole("row")
      .slice(1)
      .map((r) => within(r).getByRole("link").textContent);

  it("puts pain first, then the lesson that is due", async () => {
    serve({
      "GET /api/students": [
        line("Ada", { nextLesson: plusDays(today(), 9) }),
        line("Bea", { nextLesson: today(), lastPractice: plusDays(today(), -1) }),
        line("Cy", { hurt: true }),
        line("Di", { nextLesson: plusDays(today(), -2) }),
      ],
    });
    show(<RosterPage />);
    await screen.findByText("Ada");
    expect(names()).toEqual(["Cy", "Di", "Bea", "Ada"]);
    expect(screen.getByText("today").tagName).toBe("STRONG");
    expect(screen.getByText("yesterday")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Find a student"), { target: { value: "be" } });
    expect(names()).toEqual(["Bea"]);
    fireEvent.change(screen.getByLabelText("Find a student"), { target: { value: "zz" } });
    expect(screen.getByText(/Nobody is called/)).toBeTruthy();
  });

  it("says how to begin, and what went wrong", async () => {
    serve({ "GET /api/students": [] });
    show(<RosterPage />);
    expect(await screen.findByText(/No students yet/)).toBeTruthy();
    cleanup();
    serve({});
    show(<RosterPage />);
    expect((await screen.findByRole("alert")).textContent).toContain("not here");
  });
});

describe("a student's details", () => {
  it("sends the week without its free days, and shows what was refused where", async () => {
    const refusal = new Response(
      JSON.stringify({
        detail: "x",
        fields: [{ field: "week.sat.minutes", message: "minutes must be 1 to 300." }],
      }),
      { status: 422 },
    );
    const calls = serve({ "GET /api/catalogue?hand=right": CATALOGUE, "POST /api/students": refusal });
    show(<StudentFormPage />, { path: "/students/new", others: ["/students/:id"] });
    fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "Ferris" } });
    fireEvent.click(screen.getByRole("radio", { name: "Left-handed" }));
    fireEvent.click(screen.getByLabelText("Knee"));
    fireEvent.click(screen.getByLabelText("Brick shirt"));
    fireEvent.change(screen.getByLabelText("Minutes on Saturday"), { target: { value: "60" } });
    fireEvent.change(screen.getByLabelText("Place on Saturday"), { target: { value: "range" } });
    fireEvent.change(screen.getByLabelText("Minutes on Monday"), { target: { value: "20" } });
    fireEvent.change(screen.getByLabelText("Minutes on Monday"), { target: { value: "" } });
    fireEvent.click(screen.getByRole("button", { name: "Add student" }));
    expect(await screen.findByText("minutes must be 1 to 300.")).toBeTruthy();
    const sent = calls.at(-1)?.body as StudentProfile;
    expect(sent.week).toEqual({ sat: { minutes: 60, place: "range" } });
    expect(sent.flags).toEqual(["knee"]);
    expect(sent.handedness).toBe("left");
    expect(sent.look).toBe("clay");
  });

  it("asks before what was changed is left, not after it was saved", async () => {
    serve({ "GET /api/catalogue?hand=right": CATALOGUE, "POST /api/students": { id: "s9" } });
    const router = showRoutes(
      [
        { path: "/students/new", element: <StudentFormPage /> },
        { path: "*", element: <p>Elsewhere</p> },
      ],
      "/students/new",
    );
    fireEvent.change(await screen.findByLabelText("Name"), { target: { value: "Ferris" } });
    void router.navigate("/day");
    fireEvent.click(await screen.findByRole("button", { name: "Stay" }));
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    expect(screen.getByLabelText("Name")).toHaveProperty("value", "Ferris");
    const leaving = new Event("beforeunload", { cancelable: true });
    window.dispatchEvent(leaving);
    expect(leaving.defaultPrevented).toBe(true);
    fireEvent.click(screen.getByRole("button", { name: "Add student" }));
    expect(await screen.findByText("Elsewhere")).toBeTruthy();
    expect(router.state.location.pathname).toBe("/students/s9");
  });
});

describe("a student's page", () => {
  const profile: StudentProfile = {
    name: "Ferris Dunmore",
    handedness: "left",
    level: "improver",
    ageBand: "adult",
    shoes: "soft",
    units: "metric",
    complaint: "Slices",
    flags: ["knee"],
    kit: [],
    week: {},
  };
  const point = (value: number) => ({ value, low: value - 5, high: value + 5, of: 10 });
  const thread: Thread = {
    series: [{ id: "flight:slice", label: "Balls: slice", unit: "%", tries: "balls", better: "lower" }],
    all: 1,
    between: [],
    knots: [
      {
        lessonId: "l1",
        heldOn: "2026-11-01",
        focus: ["sway"],
        before: { "flight:slice": point(60) },
        after: { "flight:slice": point(30) },
        nextLesson: "2026-11-15",
        done: { plannedDays: 9, doneDays: 7, plannedReps: 600, doneReps: 480 },
      },
    ],
  };
  const practice: Practice = {
    all: 1,
    sessions: [
      {
        edition: 3,
        earlierPlan: true,
        id: "x",
        day: "2026-11-05",
        blocks: [
          {
            block: 0,
            fault: "sway",
            drill: "edge-notice",
            rung: "feel",
            kind: "main",
            marks: "++--",
            noticed: ["inner", "inner", "", "outer"],
            form: "none",
            told: {},
          },
          {
            block: 1,
            fault: "sway",
            drill: "disc-turn",
            rung: "feel",
            kind: "check",
            marks: "++++++++-+",
            noticed: [],
            form: "none",
            told: {},
          },
        ],
        feel: 4,
        pain: { where: "back", score: 4, drill: "disc-turn" },
        balls: {},
        note: "It pulled a bit",
        finished: true,
      },
    ],
    rungs: [
      {
        fault: "sway",
        rung: "feel",
        drill: "disc-turn",
        standing: "stay",
        says: "",
        sets: [{ on: "2026-11-05", good: 9, of: 10 }],
      },
      { fault: "sway", rung: "rehearse", drill: "disc-turn", standing: "step-back", says: "", sets: [] },
    ],
    stopped: ["disc-turn"],
  };
  const answers = {
    "GET /api/students/s1": { id: "s1", signedUp: false, own: true, profile },
    "GET /api/students/s1/thread?last=12": thread,
    "GET /api/students/s1/planned": [
      { date: "2026-11-06", reps: 60 },
      { date: "2026-11-05", reps: 75 },
      { date: "2026-11-04", reps: 75 },
    ],
    "GET /api/students/s1/practice?page=0": practice,
    "GET /api/students/s1/notes": [
      {
        session: "x",
        day: "2026-11-05",
        note: "It pulled a bit",
        read: false,
        answers: [{ byCoach: true, said: "Leave it today.", at: "2026-11-06T08:00:00Z" }],
      },
    ],
    "POST /api/students/s1/notes/x/answers": [],
    "GET /api/catalogue?hand=left": CATALOGUE,
    "POST /api/students/s1/lessons": LESSON,
    "POST /api/students/s1/invitation": { token: "one-time" },
    "DELETE /api/students/s1/stops/disc-turn": {},
  };
  const open = () =>
    show(<StudentPage />, { path: "/students/:id", at: "/students/s1", others: ["/lessons/:id"] });

  it("answers whether it is working", async () => {
    serve(answers);
    open();
    expect(await screen.findByText("Left-handed · improver · adult · take care: knee")).toBeTruthy();
    const picture = screen.getByRole("group", { name: /Balls: slice/ });
    expect(picture.getAttribute("aria-label")).toContain("before 60 %, after 30 %");
    expect(
      within(screen.getByRole("table", { hidden: true, name: "" })).getByText("7 of 9 days, 480 reps"),
    ).toBeTruthy();
  });

  it("shows pain first, and practice with its gates", async () => {
    const calls = serve(answers);
    open();
    expect(await screen.findByText("Disc turn is stopped: pain 4 of 10, lower back.")).toBeTruthy();
    const row = screen.getByRole("row", { name: /Pain 4 of 10/ });
    expect(row.textContent).toContain("14 of 75");
    expect(row.textContent).toContain("79 %9 of 10rather clearPain 4 of 10, lower back");
    expect(row.textContent).toContain("Edge noticing: inner edge ✓ 2 of 3, outer edge 1 of 3");
    expect(row.textContent).toContain("by the plan as it was before");
    expect(screen.getByRole("row", { name: /6 Nov/ }).textContent).toContain("not practised; 60 reps");
    expect(screen.getByRole("row", { name: /4 Nov/ }).textContent).toContain("not practised; 75 reps");
    expect(await screen.findByText("Leave it today.")).toBeTruthy();
    fireEvent.change(screen.getByLabelText(/Answer to the note/), { target: { value: "And now?" } });
    fireEvent.click(screen.getByRole("button", { name: "Send" }));
    await waitFor(() =>
      expect(calls.find((c) => c.request.includes("/answers"))?.body).toEqual({ said: "And now?" }),
    );
    expect(screen.getByText("in work")).toBeTruthy();
    expect(screen.getByText("step back")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Lift the stop" }));
    await waitFor(() => expect(calls.some((c) => c.request.startsWith("DELETE"))).toBe(true));
  });

  it("begins a lesson", async () => {
    serve(answers);
    open();
    fireEvent.click(await screen.findByRole("button", { name: "Begin a lesson" }));
    expect(await screen.findByText("Now at /lessons/:id")).toBeTruthy();
  });

  it("invites by a link and a picture of it", async () => {
    serve(answers);
    open();
    fireEvent.click(await screen.findByRole("button", { name: "Invite to the phone" }));
    expect(await screen.findByText(/\/welcome\/one-time$/)).toBeTruthy();
    expect(screen.getByTitle("The address as a picture for the camera")).toBeTruthy();
  });
});
