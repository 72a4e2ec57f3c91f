import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Catalogue } from "@/api/types";
import { CATALOGUE, serve, show, SIGNED_IN } from "@/test/fixtures";
import DrillPage from "./DrillPage";
import FaultPage from "./FaultPage";
import { filtered, NO_FILTER, NO_KIT } from "./filter";
import LibraryPage from "./LibraryPage";

const DISC = CATALOGUE.drills["disc-turn"]!;
const LIBRARY: Catalogue = {
  ...CATALOGUE,
  drills: {
    plain: {
      ...DISC,
      id: "plain",
      name: "Plain swing",
      main: [],
      helps: ["sway"],
      kit: [],
      feedback: ["feel"],
    },
    "disc-turn": DISC,
    toe: {
      ...DISC,
      id: "toe",
      name: "Toe prop",
      main: ["over-the-top"],
      places: ["range"],
      after: ["disc-turn"],
    },
  },
};
const share = (drill: string, worked: number, of: number) => ({
  drill,
  worked,
  of,
  share: worked / of,
  low: worked / of - 0.1,
  high: worked / of + 0.1,
});
const WORKED = {
  house: true,
  gates: {
    drills: [share("toe", 5, 10), share("disc-turn", 24, 30)],
    apart: [["disc-turn", "toe"]],
  },
  better: { drills: [share("disc-turn", 2, 4)], apart: [] as string[][] },
};
const names = (filter: Partial<typeof NO_FILTER>) =>
  filtered(LIBRARY, { ...NO_FILTER, ...filter }).map((d) => d.name);

beforeEach(() => {
  serve({
    "GET /api/catalogue?hand=right": LIBRARY,
    "GET /api/faults/sway/worked": WORKED,
    "GET /api/faults/over-the-top/worked": {
      house: false,
      gates: { drills: [], apart: [] },
      better: { drills: [], apart: [] },
    },
    "GET /api/drills/disc-turn/record": {
      house: false,
      students: 2,
      sessions: 9,
      passed: 1,
      setsToPass: 3,
      stepBacks: 1,
      pains: 0,
      reps: { assumed: 161, learnt: 213, low: 148, high: 302 },
    },
    "GET /api/drills/toe/record": {
      house: false,
      students: 0,
      sessions: 0,
      passed: 0,
      setsToPass: 0,
      stepBacks: 0,
      pains: 0,
    },
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the library", () => {
  it("narrows by every condition, direct work on the fault first", () => {
    expect(names({})).toHaveLength(3);
    expect(names({ fault: "sway" })).toEqual(["Disc turn", "Plain swing"]);
    expect(names({ place: "home" })).toEqual(["Plain swing", "Disc turn"]);
    expect(names({ feedback: "feel" })).toEqual(["Plain swing"]);
    expect(names({ kit: NO_KIT })).toEqual(["Plain swing"]);
    expect(names({ kit: "disc", text: "toe" })).toEqual(["Toe prop"]);
    expect(names({ rung: "transfer" })).toEqual([]);
    expect(names({ text: "screws IN" })).toHaveLength(3);
  });

  it("keeps the filter in the address and says when nothing fits", async () => {
    show(<LibraryPage />, { path: "/drills", at: "/drills?fault=over-the-top" });
    expect((await screen.findByText("1 of 3")).textContent).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Search the drills"), { target: { value: "zebra" } });
    await screen.findByText(/No drill has all of this/);
    fireEvent.click(screen.getByRole("button", { name: "Show all" }));
    await waitFor(() => expect(screen.getByText("3 of 3")).toBeTruthy());
  });

  it("shows a drill whole, with what leads on and how it has gone", async () => {
    show(<DrillPage />, { path: "/drills/:id", at: "/drills/disc-turn" });
    await screen.findByRole("heading", { name: "Disc turn" });
    expect(screen.getByText("Works directly on").parentElement?.textContent).toContain("sway");
    expect(screen.getByRole("link", { name: "Toe prop" })).toBeTruthy();
    const record = (await screen.findByRole("heading", { name: "With your students" })).parentElement!;
    expect(record.textContent).toContain(
      "2 students, 9 sessions. 1 gate passed, after 3.0 check sets each. 1 step back, no pain.",
    );
    expect(record.textContent).toContain(
      "Half of such students are through a gate within 215 reps, 150 to 300 ●; with any drill within 160 ○.",
    );
    expect(record.textContent).toContain("Too few");
  });

  it("keeps the coach's own words, and takes no film before somebody agreed", async () => {
    const calls = serve({
      "GET /api/catalogue?hand=right": LIBRARY,
      "GET /api/session": SIGNED_IN,
      "GET /api/drill-words": { "disc-turn": { words: "See who is behind you." } },
      "PUT /api/drill-words/disc-turn": undefined,
    });
    show(<DrillPage />, { path: "/drills/:id", at: "/drills/disc-turn" });
    const field = await screen.findByLabelText("What you say of it");
    expect(screen.queryByRole("button", { name: "Keep" })).toBeNull();
    fireEvent.change(field, { target: { value: " Look over the wall. " } });
    fireEvent.click(screen.getByRole("button", { name: "Keep" }));
    await waitFor(() =>
      expect(calls.find((c) => c.request === "PUT /api/drill-words/disc-turn")?.body).toEqual({
        words: "Look over the wall.",
      }),
    );
    fireEvent.change(screen.getByLabelText("In the film:"), { target: { value: "Ina Holt" } });
    const film = () => screen.getByRole("button", { name: /A film of up to 15 s/ });
    expect(film()).toHaveProperty("disabled", true);
    fireEvent.click(screen.getByLabelText("Ina Holt agrees that my students see it"));
    expect(film()).toHaveProperty("disabled", false);
    fireEvent.change(screen.getByLabelText("In the film:"), { target: { value: "Another" } });
    expect(film()).toHaveProperty("disabled", true);
  });

  it("says on a drill's page how it worked for what it works on", async () => {
    show(<DrillPage />, { path: "/drills/:id", at: "/drills/disc-turn" });
    const section = (await screen.findByRole("link", { name: "For sway" })).closest("section")!;
    await waitFor(() => expect(section.textContent).toContain("24 of 30"));
    expect(section.textContent).toContain("2 of 4");
    expect(section.textContent).not.toContain("5 of 10");
  });

  it("sets drills for a fault against each other only where their bars lie apart", async () => {
    show(<FaultPage />, { path: "/faults/:id", at: "/faults/sway" });
    const table = await screen.findByRole("table", { name: /All students of the house/ });
    const rows = within(table).getAllByRole("row").slice(1);
    expect(rows.map((row) => row.textContent)).toEqual([
      "Disc turn24 of 302 of 4",
      "Toe prop5 of 10not told yet",
    ]);
    screen.getByText("Disc turn passed its gates in time more often than Toe prop.");
    cleanup();
    serve({
      "GET /api/catalogue?hand=right": LIBRARY,
      "GET /api/faults/sway/worked": { ...WORKED, gates: { drills: WORKED.gates.drills, apart: [] } },
    });
    show(<FaultPage />, { path: "/faults/:id", at: "/faults/sway" });
    await screen.findByText(/Where bars overlap/);
  });

  it("says of a fault nobody worked on, and of what is no fault, what there is", async () => {
    show(<FaultPage />, { path: "/faults/:id", at: "/faults/over-the-top" });
    await screen.findByText("No plan for it has run its days yet.");
    cleanup();
    show(<FaultPage />, { path: "/faults/:id", at: "/faults/hop" });
    await screen.findByText(/no such fault/);
  });

  it("says so when nobody did it, and when there is no such drill", async () => {
    show(<DrillPage />, { path: "/drills/:id", at: "/drills/toe" });
    expect(await screen.findByText("None has done it yet.")).toBeTruthy();
    cleanup();
    show(<DrillPage />, { path: "/drills/:id", at: "/drills/hop" });
    expect(await screen.findByText(/no such drill/)).toBeTruthy();
  });
});
