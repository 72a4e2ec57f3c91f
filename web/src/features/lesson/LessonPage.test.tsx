import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { LessonEntry, Progress } from "@/api/types";
import { CATALOGUE, LESSON, serve, show } from "@/testing/fixtures";
import LessonPage from "./LessonPage";

const PROGRESS: Progress = {
  since: "2026-11-17",
  done: { plannedDays: 8, doneDays: 3, plannedReps: 600, doneReps: 210 },
  rungs: [{ fault: "sway", rung: "feel", drill: "disc-turn", standing: "passed", says: "", sets: [] }],
  changes: [
    {
      id: "strike:fat",
      label: "fat",
      unit: "balls",
      then: "2 of 10",
      now: "1 of 10",
      comparison: { difference: -0.1, low: -0.41, high: 0.23, verdict: "cannot-tell", toTell: 190 },
    },
    {
      id: "flight:slice",
      label: "slice",
      unit: "balls",
      then: "8 of 10",
      now: "1 of 10",
      comparison: { difference: -0.7, low: -0.86, high: -0.27, verdict: "better" },
    },
  ],
};

const echo = (body: unknown) => ({ ...LESSON, entry: body as LessonEntry });

let calls: ReturnType<typeof serve>;
beforeEach(() => {
  calls = serve({
    "GET /api/lessons/l1": LESSON,
    "GET /api/catalogue?hand=right": CATALOGUE,
    "PUT /api/lessons/l1/entry": echo,
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
});

async function open(at = "/lessons/l1") {
  show(<LessonPage />, { path: "/lessons/:id", at, others: ["/lessons/:id/plan"] });
  await screen.findByRole("heading", { name: "Ferris Dunmore" });
}

const lastEntry = () =>
  calls.filter((c) => c.request.startsWith("PUT") && c.request.endsWith("entry")).at(-1)?.body as LessonEntry;
const press = (key: string) => fireEvent.keyDown(document.body, { key });

describe("capturing a lesson", () => {
  it("tallies by tap and by key, and saves as it goes", async () => {
    await open();
    fireEvent.click(screen.getByLabelText("slice: 0"));
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

  it("answers what to look at next on the spot", async () => {
    await open();
    fireEvent.click(screen.getByLabelText("Yes: Hips hardly turn"));
    await waitFor(() => expect(lastEntry()?.signs).toEqual({ "little-hip-turn": "yes" }));
    expect(screen.queryByLabelText("Yes: Hips hardly turn")).toBeNull();
  });

  it("refuses a reading that cannot be, and takes one that can", async () => {
    await open();
    const value = screen.getByLabelText("Value in %");
    fireEvent.change(value, { target: { value: "140" } });
    expect(screen.getByRole("alert").textContent).toContain("between 0 and 100");
    expect(screen.getByRole("button", { name: "Add" })).toHaveProperty("disabled", true);
    fireEvent.change(value, { target: { value: "72,5" } });
    fireEvent.click(screen.getByRole("button", { name: "Add" }));
    await waitFor(() =>
      expect(lastEntry()?.before.readings).toEqual([
        { id: "trail-share", at: "top", value: 72.5, source: "seen", swings: 3 },
      ]),
    );
  });

  it("says so when it could not save", async () => {
    calls = serve({
      "GET /api/lessons/l1": LESSON,
      "GET /api/catalogue?hand=right": CATALOGUE,
    });
    await open();
    press("s");
    expect((await screen.findByText(/^Not saved/)).textContent).toContain("not here");
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

  it("tells better from cannot tell, and does not blame what was not practised", async () => {
    await open("/lessons/l1?view=since");
    const rows = await screen.findAllByRole("row");
    expect(rows[1]!.textContent).toContain("slice8 of 101 of 10−70 (−86 to −27) %better");
    expect(rows[2]!.textContent).toContain("cannot tell yet – 190 more balls each would tell");
    expect(screen.getByText(/Less than half was practised/)).toBeTruthy();
    expect(screen.getByText(/feel \(Disc turn\)/)).toBeTruthy();
  });

  it("asks for a reading before it draws feet", async () => {
    await open("/lessons/l1?view=feet");
    expect(screen.getByText(/Add a reading of the trail foot at top/)).toBeTruthy();
  });
});
