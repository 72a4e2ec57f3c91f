import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Feet, LessonEntry, Progress } from "@/api/types";
import { CATALOGUE, LESSON, NO_SIGNAL, serve, show } from "@/test/fixtures";
import { counted } from "./changes";
import { LeftBehind } from "./LeftBehind";
import LessonPage from "./LessonPage";

const PROGRESS: Progress = {
  since: "2026-11-17",
  done: { plannedDays: 8, doneDays: 3, plannedReps: 600, doneReps: 210 },
  sinceLesson: "l0",
  worked: ["sway"],
  promised: [
    { fault: "sway", rung: "feel", drill: "disc-turn", chance: 0.8, standing: "passed", checks: [8, 9] },
  ],
  between: [],
  signs: [],
  stopped: [],
  notes: [],
  changes: [
    {
      id: "strike:fat",
      label: "fat",
      unit: "balls",
      tries: "balls",
      then: "2 of 10",
      now: "1 of 10",
      past: false,
      concerns: false,
      said: "From 2 of 10 to 1 of 10: this could be chance.",
      comparison: { difference: -0.1, low: -0.41, high: 0.23, verdict: "cannot-tell", toTell: 190 },
    },
    {
      id: "flight:slice",
      label: "slice",
      unit: "balls",
      tries: "balls",
      then: "8 of 10",
      now: "1 of 10",
      past: false,
      concerns: true,
      said: "From 8 of 10 to 1 of 10: better, and by more than chance.",
      gain: { difference: -0.6, low: -0.8, high: -0.2, verdict: "better" },
      comparison: { difference: -0.7, low: -0.86, high: -0.27, verdict: "better" },
    },
  ],
  proposal: {
    kind: { id: "go-on", label: "Go on up the same route", means: "Above what is passed.", plan: true },
    because: ["Better and kept: slice.", "1 of 5 gates passed."],
    others: [{ id: "smaller-plan", label: "A smaller plan", means: "Fewer minutes.", plan: true }],
  },
};

const share = { id: "trail-share", at: "top", value: 76, source: "plate", swings: 3 };
const FEET: Feet = {
  earlier: {
    heldOn: "2026-11-17",
    before: { readings: [share], shots: { flight: {}, strike: {}, divot: {} } },
    after: { readings: [], shots: { flight: {}, strike: {}, divot: {} } },
  },
  before: [{ reading: share, at: "top", kind: "difference-of-school", beyond: 16, told: true }],
  after: [],
};

const echo = (body: unknown) => ({ ...LESSON, entry: body as LessonEntry });

let calls: ReturnType<typeof serve>;
beforeEach(() => {
  calls = serve({
    "GET /api/lessons/l1": LESSON,
    "GET /api/catalogue?hand=right": CATALOGUE,
    "PUT /api/lessons/l1/entry": echo,
    "GET /api/lessons/l1/feet?against=early-return": FEET,
    "GET /api/lessons/l1/feet?against=full-load": FEET,
    "GET /api/lessons/l1/hip-line?degrees=0&wanted=straight": { texts: ["Hips square: fits."] },
    "GET /api/lessons/l1/hip-line?degrees=9&wanted=straight": {
      press: "lead-toe",
      texts: ["Press the left toes."],
    },
    "GET /api/students/s1/approach": { coach: { pressure: "early-return" }, exceptions: {} },
    "PUT /api/students/s1/approach": (body: unknown) => ({
      coach: { pressure: "early-return" },
      ...(body as { exceptions: Record<string, string> }),
    }),
    "POST /api/diagnosis": {
      ...LESSON.diagnosis,
      focus: [],
      faults: [{ ...LESSON.diagnosis.faults[0]!, probability: 0.41, grade: "possible" }],
    },
    "GET /api/lessons/l1/progress": PROGRESS,
    "PUT /api/lessons/l1/focus": (body: unknown) => ({
      ...LESSON,
      focus: (body as { faults: string[] }).faults,
    }),
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  localStorage.clear();
});

async function open(at = "/lessons/l1") {
  show(<LessonPage />, { path: "/lessons/:id", at, others: ["/lessons/:id/plan"] });
  await screen.findByRole("heading", { name: "Ferris Dunmore" });
}

const lastEntry = () =>
  calls.filter((c) => c.request.startsWith("PUT") && c.request.endsWith("entry")).at(-1)?.body as LessonEntry;
const press = (key: string) => fireEvent.keyDown(document.body, { key });

describe("the climb of a lesson", () => {
  const part = { drill: "disc-turn", why: "works directly on sway" };
  const CLIMB = [
    { ...part, rung: "feel", label: "Feel", minutes: 9 },
    { ...part, rung: "short", label: "Short ball", length: "waist", minutes: 9 },
    { ...part, rung: "full", label: "Full swing", length: "full", minutes: 6 },
  ];

  it("is led part by part, a step on or a step back, and balls are keyed in at each", async () => {
    calls = serve({
      "GET /api/lessons/l1": LESSON,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "PUT /api/lessons/l1/entry": echo,
      "GET /api/lessons/l1/climb?minutes=30": CLIMB,
      "GET /api/lessons/l1/tried": { tried: [], rungs: [], unit: "m" },
      "GET /api/lessons/l1/shot-files": [],
    });
    show(<LessonPage />, { path: "/lessons/:id", at: "/lessons/l1?view=tried" });
    fireEvent.click(await screen.findByRole("button", { name: "Begin: feel" }));
    expect(screen.queryByRole("button", { name: /Lost it/ })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Held: on to short ball" }));
    expect(screen.getByText("0 of 9 min")).toBeDefined();
    fireEvent.change(screen.getAllByLabelText("How far it came")[0]!, { target: { value: "44 3L" } });
    fireEvent.click(screen.getAllByRole("button", { name: "Add ball" })[0]!);
    expect(screen.getByText("44 3L")).toBeDefined();
    fireEvent.change(screen.getAllByLabelText("How far it came")[0]!, { target: { value: "far" } });
    fireEvent.click(screen.getAllByRole("button", { name: "Add ball" })[0]!);
    expect(screen.getByRole("alert").textContent).toContain("128 4L");
    fireEvent.click(screen.getByRole("button", { name: "Lost it: back to feel" }));
    await waitFor(() => expect(Object.values(lastEntry().tries ?? {})).toHaveLength(3));
    const tries = Object.values(lastEntry().tries!).sort((a, b) => a.number - b.number);
    expect(tries.map((t) => t.length)).toEqual([undefined, "waist", undefined]);
    expect(Object.values(tries[1]!.balls!)).toEqual([{ number: 1, carry: 44, offline: -3 }]);
    expect(tries[1]!.minutes).toBe(9);
  });
});

describe("capturing a lesson", () => {
  it("tallies by tap and by key, and saves as it goes", async () => {
    await open();
    fireEvent.click(screen.getByLabelText("slice s: 0"));
    press("s");
    press("g");
    await waitFor(() =>
      expect(lastEntry()?.before.shots).toMatchObject({ flight: { slice: 2 }, strike: { fat: 1 } }),
    );
    await screen.findByText("Saved");
    fireEvent.click(screen.getByLabelText("One slice less"));
    await waitFor(() => expect(lastEntry().before.shots.flight).toEqual({ slice: 1 }));
  });

  it("answers the marked sign by key and goes on to the next", async () => {
    await open();
    press("2");
    press("y");
    press("n");
    await waitFor(() =>
      expect(lastEntry()?.signs).toEqual({ "little-hip-turn": "yes", "pelvis-drifts-back": "no" }),
    );
    press("z");
    await waitFor(() => expect(lastEntry().signs).toEqual({ "little-hip-turn": "yes" }));
    press("Z");
    await waitFor(() => expect(lastEntry().signs).toHaveProperty("pelvis-drifts-back"));
  });

  it("says why another fault comes before the most probable one", async () => {
    const [sway] = LESSON.diagnosis.faults;
    const late = { ...sway!, id: "late-recentre", probability: 0.99 };
    serve({
      "GET /api/lessons/l1": {
        ...LESSON,
        diagnosis: {
          ...LESSON.diagnosis,
          focus: ["sway"],
          faults: [late, { ...sway!, probability: 0.9 }],
          chain: [{ from: "sway", to: "late-recentre", strength: 0.6 }],
        },
      },
      "GET /api/catalogue?hand=right": CATALOGUE,
    });
    await open();
    expect(screen.getAllByText(/^Sway first, with 90 %, although .* has 99 %: it brings/)).toHaveLength(1);
  });

  it("answers what to look at next on the spot", async () => {
    await open();
    fireEvent.click(screen.getByLabelText("Yes: Hips hardly turn"));
    await waitFor(() => expect(lastEntry()?.signs).toEqual({ "little-hip-turn": "yes" }));
    expect(screen.queryByLabelText("Yes: Hips hardly turn")).toBeNull();
  });

  it("takes a measure that is asked for next", async () => {
    await open();
    const value = screen.getByLabelText("Load under the trail foot, top, in %");
    fireEvent.change(value, { target: { value: "300" } });
    expect(value.getAttribute("aria-invalid")).toBe("true");
    fireEvent.change(value, { target: { value: "71" } });
    fireEvent.submit(value);
    await waitFor(() =>
      expect(lastEntry()?.before.readings).toEqual([
        { id: "trail-share", at: "top", value: 71, source: "plate", swings: 3 },
      ]),
    );
    expect(screen.queryByLabelText("Load under the trail foot, top, in %")).toBeNull();
  });

  it("says no to the rest of a checkpoint in one stroke, and only there", async () => {
    await open();
    press("2");
    press("y");
    press("N");
    await waitFor(() =>
      expect(lastEntry()?.signs).toEqual({ "little-hip-turn": "yes", "pelvis-drifts-back": "no" }),
    );
  });

  it("refuses a reading that cannot be, and takes one that can", async () => {
    await open();
    const value = screen.getByLabelText("Value in %");
    fireEvent.change(value, { target: { value: "140" } });
    expect(screen.getByRole("alert").textContent).toBe("From 0 to 100 %.");
    expect(screen.getByRole("button", { name: "Add" })).toHaveProperty("disabled", true);
    fireEvent.change(value, { target: { value: "72,5" } });
    const swings = screen.getByLabelText("Swings averaged");
    fireEvent.change(swings, { target: { value: "" } });
    fireEvent.click(screen.getByRole("button", { name: "Add" }));
    expect(screen.getByRole("alert").textContent).toBe("A number is needed.");
    fireEvent.change(swings, { target: { value: "5" } });
    fireEvent.click(screen.getByRole("button", { name: "Add" }));
    await waitFor(() =>
      expect(lastEntry()?.before.readings).toEqual([
        { id: "trail-share", at: "top", value: 72.5, source: "seen", swings: 5 },
      ]),
    );
    expect(calls.filter((c) => c.request.endsWith("entry"))).toHaveLength(1);
  });

  it("keeps what could not be stored, says so, and takes it up when the lesson is opened again", async () => {
    calls = serve({
      "GET /api/lessons/l1": LESSON,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "PUT /api/lessons/l1/entry": NO_SIGNAL,
    });
    await open();
    press("s");
    expect((await screen.findByText(/^Kept on this machine/)).textContent).toContain("No connection");
    cleanup();

    calls = serve({
      "GET /api/lessons/l1": LESSON,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "PUT /api/lessons/l1/entry": echo,
    });
    await open();
    await waitFor(() => expect(lastEntry()?.before.shots.flight).toEqual({ slice: 1 }));
    expect(await screen.findByText("Saved")).toBeTruthy();
    expect(localStorage).toHaveLength(0);
  });

  it("sends what a page left behind, put together with what was stored meanwhile, and names what is refused", async () => {
    serve({ "GET /api/lessons/l1": LESSON, "GET /api/catalogue?hand=right": CATALOGUE });
    await open();
    press("s");
    await screen.findByText(/^Kept on this machine/);
    cleanup();

    const theirs = { ...LESSON, version: 9, entry: counted(LESSON.entry, "before", "flight", "slice", 1) };
    const answers = [
      new Response(JSON.stringify({ detail: "Changed.", current: { ...theirs, saves: ["another"] } }), {
        status: 412,
      }),
      LESSON,
    ];
    calls = serve({ "PUT /api/lessons/l1/entry": () => answers.shift() });
    show(<LeftBehind />);
    await waitFor(() => expect(lastEntry()?.before.shots.flight).toEqual({ slice: 2 }));
    await waitFor(() => expect(localStorage).toHaveLength(0));
    expect(screen.queryByRole("link")).toBeNull();
    cleanup();

    localStorage.setItem(
      "hodegon-lesson::l1:other",
      JSON.stringify({
        ...{ id: "l1", label: "Ferris Dunmore", mine: LESSON.entry, at: 0, tried: [] },
        base: { value: LESSON.entry, version: 1 },
      }),
    );
    serve({ "PUT /api/lessons/l1/entry": new Response('{"detail":"Too many."}', { status: 400 }) });
    show(<LeftBehind />);
    expect(await screen.findByText(/was not taken. Too many./)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Throw it away" }));
    expect(screen.queryByText(/Too many/)).toBeNull();
  });

  it("finds a sign by typing", async () => {
    await open();
    press("/");
    const input = await screen.findByRole("textbox", { name: "Find a sign" });
    fireEvent.change(input, { target: { value: "slides" } });
    fireEvent.keyDown(input, { key: "Enter" });
    await waitFor(() =>
      expect(document.querySelector("[data-current=true]")?.textContent).toContain("Pelvis slides"),
    );
  });
});

describe("what the lesson says", () => {
  it("ranks faults and opens to what speaks for and against", async () => {
    await open();
    const first = within(screen.getByLabelText("Faults, most probable first")).getAllByRole("listitem")[0]!;
    expect(first.textContent).toContain("Swaylikely 93 %");
    expect(first.textContent).toContain("Speaks for itPelvis slides away");
    expect(first.textContent).toContain("Speaks against itNot seen: feet still");
  });

  it("takes the proposed focus and hands on to the plan", async () => {
    await open();
    fireEvent.click(screen.getByRole("button", { name: "Work on sway" }));
    await screen.findByText("Now at /lessons/:id/plan");
    expect(calls.find((c) => c.request.endsWith("focus"))?.body).toEqual({ faults: ["sway"], reason: "" });
  });

  it("goes to the other views and to what is decided by keys", async () => {
    open();
    await screen.findByRole("button", { name: /^Work on / });
    fireEvent.keyDown(document.body, { key: "p" });
    expect(document.activeElement?.textContent).toMatch(/^Work on /);
    fireEvent.keyDown(document.body, { key: "," });
    const view = () => screen.getByRole("group", { name: "Views" }).querySelector("[aria-pressed=true]");
    expect(view()?.textContent, "there is none before the first").toBe("Before");
    fireEvent.keyDown(document.body, { key: "." });
    await waitFor(() => expect(view()?.textContent).toBe("Since last time"));
  });

  it("begins from the complaint, what is sore and the last decision, until something is entered", async () => {
    const asked = {
      "GET /api/lessons/l1": {
        ...LESSON,
        complaint: "Slices with every wood",
        flags: ["back"],
        history: [{ on: "2026-11-17", worked: ["sway", "over-the-top"], practised: 0.8 }],
      },
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/lessons/l1/decisions": [],
      "GET /api/lessons/l1/progress": { ...PROGRESS, stopped: ["Two-step swing"] },
    };
    calls = serve(asked);
    await open();
    const opening = await screen.findByRole("region", { name: "Where this lesson begins" });
    expect(opening.textContent).toContain("Slices with every wood");
    expect(opening.textContent).toContain("Playsright-handed");
    expect(opening.textContent).toContain("sway, then over the top, on Tuesday 17 November");
    expect(opening.textContent).toContain("Look firstHips hardly turn");
    fireEvent.click(within(opening).getByRole("button", { name: "What has happened since" }));
    expect(await screen.findByText("Two-step swing")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Before" }));
    press("s");
    await waitFor(() =>
      expect(screen.queryByRole("region", { name: "Where this lesson begins" })).toBeNull(),
    );
  });

  it("shows the whole work and the signs then and now", async () => {
    const [, slice] = PROGRESS.changes;
    calls = serve({
      "GET /api/lessons/l1": LESSON,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/lessons/l1/decisions": [],
      "GET /api/lessons/l1/progress": {
        ...PROGRESS,
        signs: [{ sign: "little-hip-turn", then: false, now: true }],
        whole: {
          since: "2026-10-06",
          lesson: "l9",
          changes: [{ ...slice!, then: "9 of 10" }],
          signs: [
            { sign: "pelvis-drifts-back", then: true, now: false },
            { sign: "hips-open-at-address", then: true, now: true },
          ],
        },
      },
    });
    await open("/lessons/l1?view=since");
    const whole = await screen.findByRole("region", { name: "The whole work, since Tuesday 6 October" });
    expect(whole.textContent).toContain("slice9 of 10, now 1 of 10better");
    expect(whole.textContent).toContain("No longer seenPelvis slides awayStill thereHips open");
    const last = screen.getByRole("region", { name: "Since last time" });
    expect(last.textContent).toContain("NewHips hardly turn");
  });

  it("draws what practice told week by week, where there is more than one", async () => {
    const sum = { label: "fat", tries: "balls", low: 10, high: 40, few: false };
    calls = serve({
      "GET /api/lessons/l1": LESSON,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/lessons/l1/decisions": [],
      "GET /api/lessons/l1/progress": {
        ...PROGRESS,
        between: [
          {
            ...sum,
            id: "practice:strike:fat",
            hits: 6,
            of: 30,
            weeks: [
              { week: 1, hits: 5, of: 14 },
              { week: 3, hits: 1, of: 16 },
            ],
          },
          { ...sum, id: "practice:strike:thin", hits: 1, of: 9, weeks: [{ week: 1, hits: 1, of: 9 }] },
        ],
      },
    });
    await open("/lessons/l1?view=since");
    await screen.findByRole("columnheader", { name: "By week" });
    const drawn = screen.getAllByRole("img", { name: /^By week/ });
    expect(drawn.map((d) => d.getAttribute("aria-label"))).toEqual([
      "By week: week 1, 5 of 14; week 3, 1 of 16",
    ]);
    const high = [...drawn[0]!.querySelectorAll("rect")].map((r) => Number(r.getAttribute("height")) / 22);
    expect(high[0]).toBeCloseTo(5 / 14);
    expect(high[1]).toBeCloseTo(1 / 16);
  });

  it("tells better from cannot tell, and does not blame what was not practised", async () => {
    await open("/lessons/l1?view=since");
    const rows = await screen.findAllByRole("row");
    expect(rows[0]!.textContent).toContain("FeelDisc turn80 % expected8 · 9 of 10passed");
    expect(rows[2]!.textContent).toContain("slice8 of 101 of 10better−70 (−86 to −27) %better–");
    expect(rows[4]!.textContent).toContain("190 more balls each would tell");
    expect(screen.getByText(/Less than half was practised/)).toBeTruthy();
    expect(screen.getByRole("heading", { name: "Proposed: go on up the same route" })).toBeTruthy();
    expect(screen.getByText("Better and kept: slice.")).toBeTruthy();
  });

  it("asks for a reading before it draws feet", async () => {
    await open("/lessons/l1?view=feet");
    expect(screen.getByText(/Add a reading of the right foot at top/)).toBeTruthy();
  });

  it("holds the feet against a second school and the lesson before", async () => {
    await open("/lessons/l1?view=feet");
    await screen.findByText("only a difference of school", { exact: false });
    fireEvent.click(screen.getByRole("radio", { name: /17 Nov/ }));
    fireEvent.change(screen.getByLabelText("Second school"), { target: { value: "full-load" } });
    await waitFor(() => expect(calls.some((c) => c.request.endsWith("feet?against=full-load"))).toBe(true));
    expect(screen.getByText(/Dotted outline: full load/)).toBeTruthy();
  });

  it("says where to press for the wanted hip line", async () => {
    await open("/lessons/l1?view=feet");
    await screen.findByText("Hips square: fits.");
    fireEvent.change(screen.getByRole("slider"), { target: { value: "9" } });
    expect(await screen.findByText("Press the left toes.")).toBeTruthy();
    expect(await screen.findByRole("img", { name: /press the lead toe/ })).toBeTruthy();
  });

  it("shows the chain and what rests on what, without touching the lesson", async () => {
    await open("/lessons/l1?view=why");
    const chain = screen.getByRole("group", { name: "From root to ball" });
    fireEvent.click(within(chain).getByRole("button", { name: /Over the top/ }));
    expect(screen.getByRole("heading", { name: "Over the top" })).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Before" }));
    press("s");
    await waitFor(() => expect(lastEntry()?.before.shots.flight).toEqual({ slice: 1 }));
    fireEvent.click(screen.getByRole("button", { name: "Why" }));
    fireEvent.click(await screen.findByRole("checkbox", { name: /Flight of the balls: 1 slice/ }));
    expect(await screen.findByText("41 %")).toBeTruthy();
    const asked = calls.find((c) => c.request === "POST /api/diagnosis")?.body;
    expect(asked).toMatchObject({ handedness: "right", shots: { flight: {} } });
    fireEvent.click(screen.getByRole("button", { name: "Put everything back" }));
    expect(screen.queryByText("41 %")).toBeNull();
    expect(lastEntry().before.shots.flight).toEqual({ slice: 1 });
  });

  it("names balls that nothing likely explains, with what holds each fault back", async () => {
    calls = serve({
      "GET /api/lessons/l1": {
        ...LESSON,
        diagnosis: {
          ...LESSON.diagnosis,
          unexplained: [
            {
              kind: "flight",
              result: "slice",
              hits: 9,
              of: 10,
              against: [
                { fault: "over-the-top", probability: 0.46, text: "Not seen: hips first" },
                { fault: "sway", probability: 0.1 },
              ],
            },
          ],
        },
      },
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/lessons/l1/decisions": [],
    });
    await open();
    const balls = await screen.findByRole("region", { name: "Not explained: slice" });
    expect(balls.textContent).toContain("9 of 10 slice, and nothing likely explains it.");
    const faults = within(balls).getAllByRole("listitem");
    expect(faults.map((f) => f.textContent)).toEqual([
      "Over the top, 46 %Held back most by: Not seen: hips first",
      "Sway, 10 %Nothing was answered against it.",
    ]);
  });

  it("keeps every decision on record beside what is entered now", async () => {
    calls = serve({
      "GET /api/lessons/l1": { ...LESSON, focus: ["sway"] },
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/lessons/l1/decisions": [
        {
          decidedAt: "2026-12-01T10:00:00Z",
          focus: ["over-the-top"],
          reason: "Asked for it",
          catalogueVersion: "1",
          diagnosis: {
            ...LESSON.diagnosis,
            faults: [{ ...LESSON.diagnosis.faults[0]!, probability: 0.5, grade: "possible" }],
          },
        },
      ],
    });
    await open();
    const record = (await screen.findByText("On record: one decision")).closest("details")!;
    expect(record.textContent).toContain("Over the top — Asked for it");
    expect(record.textContent).toContain("Sway: possible 50 %, by what is entered now 93 %");
  });

  it("keeps another school for the student", async () => {
    await open();
    const school = screen.getByLabelText("Pressure school of this lesson");
    expect(screen.queryByRole("button", { name: /Keep it for/ })).toBeNull();
    fireEvent.change(school, { target: { value: "full-load" } });
    fireEvent.click(await screen.findByRole("button", { name: "Keep it for Ferris Dunmore" }));
    await waitFor(() =>
      expect(calls.find((c) => c.request === "PUT /api/students/s1/approach")?.body).toEqual({
        exceptions: { pressure: "full-load" },
      }),
    );
  });
});
