import { act, cleanup, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { serve, show } from "@/testing/fixtures";
import { isUnsent, kept, keepDraft, loadDraft, markSent } from "./outbox";
import { emptyEntry, newId, withMarks } from "./session";
import { Waiting } from "./Waiting";

const draft = (day: string, marks = "+") => ({
  id: newId(),
  entry: withMarks(emptyEntry("p", day), 0, marks),
});

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("what is kept on the phone", () => {
  it("survives a reload, for its own plan and day only", () => {
    const one = draft("2026-12-01");
    keepDraft(one);
    expect(loadDraft("p", "2026-12-01")).toEqual(one);
    expect(loadDraft("p", "2026-12-02")).toBeNull();
    localStorage.setItem("hodegon-outbox", "{broken");
    expect(loadDraft("p", "2026-12-01")).toBeNull();
  });

  it("keeps a day that was not sent when the next one begins", () => {
    const monday = draft("2026-12-01");
    const tuesday = draft("2026-12-02");
    keepDraft(monday);
    keepDraft(tuesday);
    expect(kept().map((k) => k.entry.day)).toEqual(["2026-12-01", "2026-12-02"]);
    markSent(monday);
    keepDraft(tuesday);
    expect(kept().map((k) => k.entry.day)).toEqual(["2026-12-02"]);
  });

  it("does not take an older version for the newest", () => {
    const one = draft("2026-12-01");
    keepDraft(one);
    keepDraft({ ...one, entry: withMarks(one.entry, 0, "++") });
    markSent(one);
    expect(isUnsent(one.id)).toBe(true);
  });
});

describe("what waits to be sent", () => {
  it("is said, and goes in order once there is a signal", async () => {
    const days = ["2026-12-01", "2026-12-02"].map((d) => draft(d));
    days.forEach(keepDraft);
    vi.stubGlobal("fetch", () => Promise.reject(new TypeError("no network")));
    show(<Waiting />);
    expect((await screen.findByText(/Kept on this phone/)).textContent).toContain("Dec 2");
    const calls = serve(Object.fromEntries(days.map((d) => [`PUT /api/me/practice/${d.id}`, {}])));
    act(() => void window.dispatchEvent(new Event("online")));
    await waitFor(() => expect(screen.queryByText(/Kept on this phone/)).toBeNull());
    expect(calls.map((c) => c.request)).toEqual(days.map((d) => `PUT /api/me/practice/${d.id}`));
  });

  it("is kept and shown when the server does not take it, and holds nothing else up", async () => {
    const [bad, good] = [draft("2026-12-01"), draft("2026-12-02")];
    keepDraft(bad);
    keepDraft(good);
    serve({ [`PUT /api/me/practice/${good.id}`]: {} });
    show(<Waiting />);
    expect((await screen.findByText(/could not be taken/)).textContent).toContain("not here");
    expect(kept().find((k) => k.id === good.id)?.state).toBe("sent");
  });
});
