import { act, cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Wire } from "@/api/types";
import { CATALOGUE, LESSON, serve, show, SIGNED_IN } from "@/test/fixtures";
import LessonPage from "../lesson/LessonPage";

/** What the page listens to; the last one opened. */
class Events {
  static last: Events;
  listeners: Record<string, (event: { data: string }) => void> = {};
  onerror?: () => void;
  constructor(readonly url: string) {
    Events.last = this;
  }
  addEventListener(name: string, listener: (event: { data: string }) => void) {
    this.listeners[name] = listener;
  }
  tell(name: string, data: unknown) {
    act(() => this.listeners[name]?.({ data: JSON.stringify(data) }));
  }
  close() {}
}

const swing = (number: number, part: Partial<Wire["SwingView"]> = {}): Wire["SwingView"] => ({
  id: `w${number}`,
  number,
  stage: "before",
  state: "heard",
  heardAt: "2026-12-01T09:00:00Z",
  device: "Bay 2",
  rate: 200,
  seconds: 3,
  moments: [
    { id: "address", time: 0.8, from: "found", uncertainty: 30 },
    { id: "top", time: 1.8, from: "given", uncertainty: 5 },
  ],
  readings: [
    { measure: "trail-share", at: "top", value: 70 + number, uncertainty: 1.1 },
    { measure: "peak-trail-share", at: null as unknown as undefined, value: 80, uncertainty: 1 },
  ],
  warnings: [],
  spark: [50, 80, 10],
  ...part,
});

const view = (swings: Wire["SwingView"][], part: Partial<Wire["SwingsView"]> = {}): Wire["SwingsView"] => ({
  swings,
  files: [],
  measured: [],
  ownSpread: false,
  readingFrom: 3,
  spreadFrom: 5,
  ...part,
});

const CURVE = {
  step: 0.5,
  trailShare: [50, 50, 60, 75, 40, 10, 8],
  push: [100, 100, 98, 95, 130, 100, 100],
  halves: null,
};
const PLATE = {
  connected: true,
  plate: "Bay 2",
  rate: 200,
  lost: 0,
  listening: "l1",
  stage: "before",
  problem: null,
};

let stored: Wire["SwingsView"];
const answers = {
  "GET /api/session": SIGNED_IN,
  "GET /api/catalogue?hand=right": CATALOGUE,
  "GET /api/lessons/l1": LESSON,
  "GET /api/lessons/l1/swings": () => stored,
  "GET /api/lessons/l1/earlier-swings": () => [
    { heldOn: "2026-11-20", swings: [swing(5, { id: "e5", state: "kept" })] },
  ],
  "GET /api/swings/e5/curve": { id: "e5", ...CURVE, trailShare: [50, 50, 50, 50, 50, 50, 50] },
  "GET /api/swings/w1/curve": { id: "w1", ...CURVE },
  "GET /api/swings/w2/curve": { id: "w2", ...CURVE },
  "PUT /api/swings/w2/state": (body: unknown) => {
    const { state, stage } = body as { state: string; stage: string };
    return (stored = view(stored.swings.map((s) => (s.id === "w2" ? { ...s, state, stage } : s))));
  },
  "PUT /api/swings/w2/moments": () => stored,
};

const open = () => show(<LessonPage />, { path: "/lessons/:id", at: "/lessons/l1?view=plate" });

describe("a lesson that listens to the plate", () => {
  beforeEach(() => {
    stored = view([swing(1, { state: "kept" }), swing(2)]);
    vi.stubGlobal("EventSource", Events);
    vi.stubGlobal("matchMedia", () => ({ matches: true, addEventListener() {}, removeEventListener() {} }));
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it("lays a swing of an earlier lesson under this one", async () => {
    serve(answers);
    open();
    const under = await screen.findByLabelText("Under it");
    expect(
      within(within(under).getByRole("group", { name: /20 November/ })).getAllByRole("option"),
    ).toHaveLength(1);
    const paths = () => document.querySelectorAll("svg path[stroke]").length;
    fireEvent.change(under, { target: { value: "" } });
    await waitFor(() => expect((under as HTMLSelectElement).value).toBe(""));
    const alone = paths();
    fireEvent.change(under, { target: { value: "e5" } });
    await waitFor(() => expect(paths()).toBeGreaterThan(alone));
  });

  it("says whether the plate is there, and what is lost", async () => {
    serve(answers);
    open();
    await screen.findByText("Looking for the plate");
    expect(Events.last.url).toBe("/api/lessons/l1/listen?stage=before");
    Events.last.tell("plate", PLATE);
    await screen.findByText("Bay 2, 200 a second");
    Events.last.tell("plate", { ...PLATE, lost: 7 });
    await screen.findByText("Bay 2, 200 a second, 7 samples lost");
    Events.last.tell("plate", { ...PLATE, listening: "l9" });
    await screen.findByText("Another lesson listens");
    act(() => Events.last.onerror?.());
    await screen.findByText("No connection to the server");
  });

  it("keeps the swing that is looked at by a key, throws it away, and takes back", async () => {
    const calls = serve(answers);
    open();
    await screen.findByRole("heading", { name: "Swing 2" });
    fireEvent.keyDown(document.body, { key: "k" });
    await screen.findByRole("heading", { name: "2 kept" });
    fireEvent.keyDown(document.body, { key: "Backspace" });
    await screen.findByRole("heading", { name: "1 kept" });
    fireEvent.keyDown(document.body, { key: "z" });
    await screen.findByRole("heading", { name: "2 kept" });
    const states = calls.filter((c) => c.request.startsWith("PUT")).map((c) => c.body);
    expect(states).toEqual([
      { state: "kept", stage: "before" },
      { state: "thrown", stage: "before" },
      { state: "kept", stage: "before" },
    ]);
  });

  it("takes back the last act first: a moment that was set, and only then what was kept", async () => {
    const calls = serve(answers);
    open();
    await screen.findByRole("heading", { name: "Swing 2" });
    fireEvent.keyDown(document.body, { key: "k" });
    await screen.findByRole("heading", { name: "2 kept" });
    // What is kept already is no act.
    fireEvent.keyDown(document.body, { key: "k" });
    const time = await screen.findByRole("slider", { name: "Time in the swing" });
    fireEvent.change(time, { target: { value: "1.7" } });
    fireEvent.click(within(screen.getByRole("group", { name: "Moments" })).getByText("Top"));
    fireEvent.change(time, { target: { value: "1.7" } });
    fireEvent.click(screen.getByText("Set top here"));
    await waitFor(() => expect(calls.filter((c) => c.request.endsWith("/moments"))).toHaveLength(1));
    fireEvent.keyDown(document.body, { key: "z" });
    await waitFor(() => expect(calls.filter((c) => c.request.endsWith("/moments"))).toHaveLength(2));
    expect(calls.filter((c) => c.request.endsWith("/moments"))[1]!.body).toEqual({ moments: { top: null } });
    expect(calls.filter((c) => c.request.endsWith("/state"))).toHaveLength(1);
    fireEvent.keyDown(document.body, { key: "z" });
    await waitFor(() => expect(calls.filter((c) => c.request.endsWith("/state"))).toHaveLength(2));
  });

  it("shows a swing that comes in, whatever was looked at", async () => {
    serve(answers);
    stored = view([swing(1)]);
    open();
    await screen.findByRole("heading", { name: "Swing 1" });
    stored = view([swing(1), swing(2)]);
    Events.last.tell("swings", "l1");
    await screen.findByRole("heading", { name: "Swing 2" });
    fireEvent.click(screen.getByRole("button", { name: /^1/ }));
    await screen.findByRole("heading", { name: "Swing 1" });
  });

  it("moves a moment to where the time stands", async () => {
    const calls = serve(answers);
    open();
    const time = await screen.findByRole("slider", { name: "Time in the swing" });
    fireEvent.change(time, { target: { value: "1.7" } });
    fireEvent.click(within(screen.getByRole("group", { name: "Moments" })).getByText("Top"));
    fireEvent.change(time, { target: { value: "1.7" } });
    fireEvent.click(screen.getByText("Set top here"));
    await waitFor(() =>
      expect(calls.find((c) => c.request === "PUT /api/swings/w2/moments")?.body).toEqual({
        moments: { top: 1.7 },
      }),
    );
  });

  it("says how many more swings make readings, and holds a swing against the last kept one", async () => {
    serve(answers);
    open();
    await screen.findByText("2 more kept swings and they are readings of this lesson.");
    const row = screen.getByRole("row", { name: /^Top/ });
    expect(row.textContent).toContain("72");
    expect(row.textContent).toContain("+1");
  });

  it("goes on where there is no swing and no plate yet", async () => {
    serve(answers);
    stored = view([]);
    open();
    await screen.findByText(/No plate is connected/);
    expect(screen.getByRole("link", { name: "Set one up" })).toBeTruthy();
  });
});
