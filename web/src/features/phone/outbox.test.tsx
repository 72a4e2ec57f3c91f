import { newId } from "@/api/newId";
import { act, cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { block, serve, show, SIGNED_IN } from "@/test/fixtures";
import { Outbox } from "./outbox";
import { emptyEntry, withMarks } from "./session";
import { Waiting } from "./Waiting";

const draft = (day: string, marks = "+") => ({
  id: newId(),
  entry: withMarks(emptyEntry("p", day), 0, block(), marks),
  planned: [block()],
});
const outbox = new Outbox("ferris@x.example");
const session = { "GET /api/session": SIGNED_IN };

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("what is kept on the phone", () => {
  it("survives a reload, for its own plan and day only", () => {
    const one = draft("2026-12-01");
    outbox.keep(one);
    expect(outbox.load("p", "2026-12-01")).toEqual(one);
    expect(outbox.load("p", "2026-12-02")).toBeNull();
    localStorage.setItem("hodegon-outbox:ferris@x.example", "{broken");
    expect(outbox.load("p", "2026-12-01")).toBeNull();
  });

  it("keeps a day that was not sent when the next one begins", () => {
    const monday = draft("2026-12-01");
    const tuesday = draft("2026-12-02");
    outbox.keep(monday);
    outbox.keep(tuesday);
    expect(outbox.kept().map((k) => k.entry.day)).toEqual(["2026-12-01", "2026-12-02"]);
    outbox.markSent(monday);
    outbox.keep(tuesday);
    expect(outbox.kept().map((k) => k.entry.day)).toEqual(["2026-12-02"]);
  });

  it("is another account's not at all", () => {
    outbox.keep(draft("2026-12-01"));
    expect(new Outbox("petra@x.example").kept()).toEqual([]);
  });

  it("does not take an older version for the newest", () => {
    const one = draft("2026-12-01");
    outbox.keep(one);
    outbox.keep({ ...one, entry: { ...withMarks(one.entry, 0, block(), "++"), edition: 1 } });
    outbox.markSent(one);
    expect(outbox.isUnsent(one.id)).toBe(true);
  });
});

describe("what waits to be sent", () => {
  it("is said, and goes in order once there is a signal", async () => {
    const days = ["2026-12-01", "2026-12-02"].map((d) => draft(d));
    days.forEach((d) => outbox.keep(d));
    vi.stubGlobal("fetch", () => Promise.reject(new TypeError("no network")));
    show(<Waiting />, { known: [[["session"], SIGNED_IN]] });
    expect((await screen.findByText(/Kept on this phone/)).textContent).toContain("2 Dec");
    const calls = serve({
      ...session,
      ...Object.fromEntries(days.map((d) => [`PUT /api/me/practice/${d.id}`, {}])),
    });
    act(() => void window.dispatchEvent(new Event("online")));
    await waitFor(() => expect(screen.queryByText(/Kept on this phone/)).toBeNull());
    expect(calls.map((c) => c.request).filter((r) => r.startsWith("PUT"))).toEqual(
      days.map((d) => `PUT /api/me/practice/${d.id}`),
    );
  });

  it("is kept and shown when the server does not take it, and holds nothing else up", async () => {
    const [bad, good] = [draft("2026-12-01"), draft("2026-12-02")];
    outbox.keep(bad);
    outbox.keep(good);
    serve({ ...session, [`PUT /api/me/practice/${good.id}`]: {} });
    show(<Waiting />);
    expect((await screen.findByText(/could not be taken/)).textContent).toContain("not here");
    expect(outbox.kept().find((k) => k.id === good.id)?.state).toBe("sent");
    fireEvent.click(screen.getByRole("button", { name: "Put it away" }));
    fireEvent.click(screen.getByRole("button", { name: "Keep it" }));
    expect(outbox.kept().some((k) => k.id === bad.id)).toBe(true);
    fireEvent.click(screen.getByRole("button", { name: "Put it away" }));
    fireEvent.click(screen.getByRole("button", { name: "Delete it from this phone" }));
    expect(screen.queryByText(/could not be taken/)).toBeNull();
    expect(outbox.kept().map((k) => k.id)).toEqual([good.id]);
  });

  it("is not put away while it may still go", () => {
    const one = draft("2026-12-01");
    outbox.keep(one);
    outbox.putAway(one.id);
    expect(outbox.isUnsent(one.id)).toBe(true);
  });
});
