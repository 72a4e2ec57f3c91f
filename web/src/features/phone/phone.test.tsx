import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Today } from "@/api/types";
import { today } from "@/ui/dates";
import { block, CATALOGUE, serve, show, todayWith } from "@/testing/fixtures";
import RunnerPage from "./RunnerPage";
import type { Entry } from "./session";
import TodayPage from "./TodayPage";

const path = `GET /api/me/today?date=${today()}`;

/** A server that stores whatever session it is sent. */
function phone(day: Today) {
  const answers = new Proxy<Record<string, unknown>>(
    { [path]: day, "GET /api/catalogue?hand=right": CATALOGUE },
    {
      get: (known, request: string) =>
        request.startsWith("PUT /api/me/practice/")
          ? () => ({
              session: {},
              rungs: [
                {
                  fault: "sway",
                  rung: "feel",
                  drill: "disc-turn",
                  standing: "stay",
                  says: "9 of 10. Once more.",
                  sets: [],
                },
              ],
              stopped: [],
            })
          : known[request],
    },
  );
  return serve(answers);
}

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("today", () => {
  it("says what, where, how long and why", async () => {
    phone(todayWith([block({ drill: "edge-notice", kind: "refresh" }), block()]));
    show(<TodayPage />, { path: "/today" });
    await screen.findByText("Hello Ferris");
    expect(document.body.textContent).toContain("At home, about 12 minutes, with flying disc.");
    expect(screen.getByText("The pelvis slides away.")).toBeTruthy();
    expect(screen.getByText("Begin")).toBeTruthy();
  });

  it("is quiet on a free day and before the first plan", async () => {
    phone(todayWith([], { day: undefined, nextDay: "2026-12-04" }));
    show(<TodayPage />, { path: "/today" });
    expect((await screen.findByText(/Next practice/)).textContent).toContain("4");
    cleanup();
    phone(todayWith([], { day: undefined, plan: undefined }));
    show(<TodayPage />, { path: "/today" });
    expect(await screen.findByText(/No plan yet/)).toBeTruthy();
  });

  it("says that a drill is stopped and sends pain to a doctor", async () => {
    phone(todayWith([block()], { stopped: ["disc-turn"] }));
    show(<TodayPage />, { path: "/today" });
    expect((await screen.findByText(/is stopped because it hurt/)).textContent).toContain(
      "doctor or physiotherapist",
    );
  });

  it("reminds a junior of an adult", async () => {
    phone(todayWith([block()], { junior: true }));
    show(<TodayPage />, { path: "/today" });
    expect(await screen.findByText(/Tell an adult/)).toBeTruthy();
  });
});

describe("a session", () => {
  const good = () => fireEvent.click(screen.getByRole("button", { name: "Good" }));

  it("counts, undoes, rests after a set and goes on", async () => {
    const calls = phone(
      todayWith([block({ sets: 2, repsPerSet: 2 }), block({ kind: "check", scored: true })]),
    );
    show(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Disc turn" });
    good();
    fireEvent.click(screen.getByRole("button", { name: "Not" }));
    expect(screen.getByRole("timer")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Undo" }));
    expect(screen.queryByRole("timer")).toBeNull();
    expect(screen.getByText("1 good of 1")).toBeTruthy();
    good();
    fireEvent.click(screen.getByRole("button", { name: "Go on now" }));
    good();
    good();
    fireEvent.click(screen.getByRole("button", { name: "Next block" }));
    expect(await screen.findByText(/Good is: The disc turned/)).toBeTruthy();
    await waitFor(() => {
      const entry = calls.at(-1)?.body as Entry;
      expect(entry.blocks).toEqual([{ block: 0, marks: "++++" }]);
    });
    const ids = new Set(calls.filter((c) => c.request.startsWith("PUT")).map((c) => c.request));
    expect(ids.size).toBe(1);
  });

  it("takes up where it was left, also without the server", async () => {
    phone(todayWith([block()]));
    show(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Disc turn" });
    good();
    good();
    cleanup();
    serve({ [path]: todayWith([block()]), "GET /api/catalogue?hand=right": CATALOGUE });
    show(<RunnerPage />, { path: "/today/practice" });
    expect(await screen.findByText("2 good of 2")).toBeTruthy();
    good();
    expect(await screen.findByText(/kept on the phone/)).toBeTruthy();
  });

  it("says when the next is a ball", async () => {
    phone(todayWith([block({ rung: "short", repsPerSet: 4, balls: 1 })]));
    show(<RunnerPage />, { path: "/today/practice" });
    expect(await screen.findByText("Now without a ball")).toBeTruthy();
    good();
    good();
    good();
    expect(screen.getByText("Now a ball")).toBeTruthy();
  });

  it("asks how it was before it ends, and says what the gate says", async () => {
    const calls = phone(todayWith([block({ drill: "edge-notice" }), block()]));
    show(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Edge noticing" });
    fireEvent.click(screen.getByRole("button", { name: "Stop here" }));
    expect(screen.getByRole("button", { name: "Done for today" })).toHaveProperty("disabled", true);
    fireEvent.click(screen.getByRole("radio", { name: "Clear" }));
    fireEvent.click(screen.getByRole("radio", { name: "Yes" }));
    fireEvent.click(screen.getByRole("radio", { name: "Lower back" }));
    expect(
      calls.filter((c) => c.request.startsWith("PUT") && (c.body as Entry).pain),
      "nothing stops a drill before place and score are chosen",
    ).toEqual([]);
    fireEvent.click(screen.getByRole("radio", { name: "5" }));
    fireEvent.change(screen.getByLabelText("In which drill"), { target: { value: "edge-notice" } });
    expect(screen.getByText(/Pain means stop/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Done for today" }));
    expect(await screen.findByText("9 of 10. Once more.")).toBeTruthy();
    expect(calls.at(-1)?.body).toMatchObject({
      finished: true,
      feel: 5,
      pain: { where: "back", score: 5, drill: "edge-notice" },
    });
  });

  it("asks for a rep wrong on purpose and does not judge it", async () => {
    const calls = phone(todayWith([block({ sets: 1, repsPerSet: 2, contrast: 1 })]));
    show(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Disc turn" });
    good();
    expect(screen.getByText("This one wrong on purpose")).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Good" })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Felt it" }));
    expect(screen.getByText("1 good of 1")).toBeTruthy();
    await waitFor(() => expect((calls.at(-1)?.body as Entry).blocks).toEqual([{ block: 0, marks: "+o" }]));
  });

  it("passes by a stopped drill", async () => {
    phone(todayWith([block(), block({ drill: "edge-notice" })], { stopped: ["disc-turn"] }));
    show(<RunnerPage />, { path: "/today/practice" });
    expect(await screen.findByRole("heading", { name: "Edge noticing" })).toBeTruthy();
  });
});
