import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import type { ReactElement } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Me } from "@/api/types";
import { longDay, plusDays, today } from "@/calendar/dates";
import { block, CATALOGUE, meWith, serve, show, SIGNED_IN } from "@/test/fixtures";
import ClimbPage from "./ClimbPage";
import { Rest } from "./Rest";
import RunnerPage from "./RunnerPage";
import type { Entry } from "./session";
import TodayPage from "./TodayPage";

const path = "GET /api/me";

/** A server that stores whatever session it is sent. */
function phone(me: Me) {
  const answers = new Proxy<Record<string, unknown>>(
    { [path]: me, "GET /api/session": SIGNED_IN, "GET /api/catalogue?hand=right": CATALOGUE },
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

const open = (page: ReactElement, where: { path: string }) =>
  show(page, { ...where, known: [[["session"], SIGNED_IN]] });

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("the climb", () => {
  const gate = { good: 8, of: 10, days: 2, coachSigns: false };
  const climbing = (chance: number, sets: { on: string; good: number; of: number }[]) => {
    const me = meWith([block()]);
    const route = [{ rung: "short", fault: "sway", drill: "disc-turn", gate, why: "", chance }];
    const rungs = sets.length
      ? [{ fault: "sway", rung: "short", drill: "disc-turn", standing: "stay", says: "Stay.", sets }]
      : [];
    return { ...me, rungs, plan: { ...me.plan!, plan: { ...me.plan!.plan, route } } };
  };

  it("says the next gate in the student's own terms, and no chance that is hardly one", async () => {
    phone(climbing(0.004, []));
    open(<ClimbPage />, { path: "/climb" });
    expect(await screen.findByText("Next gate: Short ball")).toBeTruthy();
    expect(document.body.textContent).toContain("8 of 10 on 2 days, the second with a real ball");
    expect(document.body.textContent).not.toMatch(/\d %/);
  });

  it("says that one good set is left, and a chance that is worth having", async () => {
    phone(climbing(0.42, [{ on: "2026-12-01", good: 9, of: 10 }]));
    open(<ClimbPage />, { path: "/climb" });
    expect(await screen.findByText(/One more set of 8 of 10 on another day, with a real ball/)).toBeTruthy();
    expect(document.body.textContent).toContain("42 %");
  });
});

describe("today", () => {
  it("says what, where, how long and why", async () => {
    phone(meWith([block({ drill: "edge-notice", kind: "refresh" }), block()]));
    open(<TodayPage />, { path: "/today" });
    await screen.findByText("Hello Ferris");
    expect(document.body.textContent).toContain("At home, about 12 minutes, with flying disc.");
    expect(screen.getByText("The pelvis slides away.")).toBeTruthy();
    expect(screen.getByText("Begin")).toBeTruthy();
  });

  it("names what stands in for what the student does not have", async () => {
    const me = meWith([block()]);
    const kit = [{ id: "disc", have: false, substitute: "a plastic plate" }];
    phone({ ...me, plan: { ...me.plan!, plan: { ...me.plan!.plan, kit } } });
    open(<TodayPage />, { path: "/today" });
    await screen.findByText("Begin");
    expect(document.body.textContent).toContain("about 12 minutes, with a plastic plate.");
    expect(document.body.textContent).not.toContain("flying disc");
  });

  it("is quiet on a free day and before the first plan", async () => {
    phone(meWith([block()], {}, plusDays(today(), 2)));
    open(<TodayPage />, { path: "/today" });
    expect((await screen.findByText(/Next practice/)).textContent).toContain(longDay(plusDays(today(), 2)));
    cleanup();
    phone(meWith([], { plan: undefined }));
    open(<TodayPage />, { path: "/today" });
    expect(await screen.findByText(/No plan yet/)).toBeTruthy();
  });

  it("says that a drill is stopped and sends pain to a doctor", async () => {
    phone(meWith([block()], { stopped: ["disc-turn"] }));
    open(<TodayPage />, { path: "/today" });
    expect((await screen.findByText(/is stopped because it hurt/)).textContent).toContain(
      "doctor or physiotherapist",
    );
  });

  it("reminds a junior of an adult", async () => {
    const calls = phone(meWith([block()], { junior: true }));
    open(<TodayPage />, { path: "/today" });
    const field = await screen.findByLabelText("Which adult knows?");
    expect(screen.queryByText("Begin"), "not before one knows").toBeNull();
    fireEvent.change(field, { target: { value: "Orla Dunmore" } });
    fireEvent.click(screen.getByRole("button", { name: "This adult knows" }));
    await waitFor(() =>
      expect(calls.find((c) => c.request === "PUT /api/me/adult")?.body).toEqual({ name: "Orla Dunmore" }),
    );
    cleanup();
    phone(meWith([block()], { junior: true, adult: "Orla Dunmore" }));
    open(<TodayPage />, { path: "/today" });
    expect(await screen.findByText(/Orla Dunmore knows/)).toBeTruthy();
    expect(screen.getByText("Begin")).toBeTruthy();
  });
});

describe("a session", () => {
  const good = () => fireEvent.click(screen.getByRole("button", { name: "Good" }));

  it("counts, undoes, rests after a set and goes on", async () => {
    const calls = phone(meWith([block({ sets: 2, repsPerSet: 2 }), block({ kind: "check", scored: true })]));
    open(<RunnerPage />, { path: "/today/practice" });
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
      expect(entry.blocks).toMatchObject([{ block: 0, drill: "disc-turn", marks: "++++" }]);
    });
    const ids = new Set(calls.filter((c) => c.request.startsWith("PUT")).map((c) => c.request));
    expect(ids.size).toBe(1);
  });

  it("takes up where it was left, also without the server", async () => {
    phone(meWith([block()]));
    open(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Disc turn" });
    good();
    good();
    cleanup();
    serve({
      [path]: meWith([block()]),
      "GET /api/session": SIGNED_IN,
      "GET /api/catalogue?hand=right": CATALOGUE,
    });
    open(<RunnerPage />, { path: "/today/practice" });
    expect(await screen.findByText("2 good of 2")).toBeTruthy();
    good();
    expect(await screen.findByText(/kept on the phone/)).toBeTruthy();
  });

  it("says the half-step, the speed and what a lesser strike is", async () => {
    const brush = { rung: "short", repsPerSet: 4, strikes: 1, form: "brush", speed: 50 };
    phone(
      meWith([
        block({ ...brush, condition: "slower", conditionLabel: "Slower", conditionDo: "Twice the time." }),
      ]),
    );
    open(<RunnerPage />, { path: "/today/practice" });
    expect(await screen.findByText("Twice the time.")).toBeTruthy();
    expect(document.body.textContent).toContain("Short ball, 50 % speed. The club brushes a mark.");
    for (let rep = 0; rep < 3; rep++) fireEvent.click(screen.getByText("Good"));
    expect(screen.getByText("Now brush the mark")).toBeTruthy();
  });

  it("leads through a range session with a clock for each part, and says what does not count", async () => {
    const preparing = block({ kind: "main", speed: 0, sets: 1, repsPerSet: 1, minutes: 3 });
    phone(meWith([preparing, block({ kind: "try", rung: "short", minutes: 7 })]));
    open(<RunnerPage />, { path: "/today/practice" });
    expect((await screen.findByText("0 of 3 min")).parentElement!.textContent).toContain(
      "Main block, 1 of 2",
    );
    good();
    expect(screen.queryByText(/How fast was it/), "nothing was swung").toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Next block" }));
    expect(screen.getByText("0 of 7 min").parentElement!.textContent).toContain(
      "A try, does not count, 2 of 2",
    );
    fireEvent.click(screen.getByRole("button", { name: "Lost it" }));
    expect(screen.getByText("Lost: one set on the rung below")).toBeTruthy();
  });

  it("says when the next is a ball", async () => {
    phone(meWith([block({ rung: "short", repsPerSet: 4, balls: 1, strikes: 1, form: "range" })]));
    open(<RunnerPage />, { path: "/today/practice" });
    expect(await screen.findByText("Now without a strike")).toBeTruthy();
    good();
    good();
    good();
    expect(screen.getByText("Now a ball")).toBeTruthy();
  });

  it("asks how it was before it ends, and says what the gate says", async () => {
    const calls = phone(meWith([block({ drill: "edge-notice" }), block()]));
    open(<RunnerPage />, { path: "/today/practice" });
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
    expect(
      screen.getByRole("button", { name: "Done for today" }),
      "pain half told is not lost",
    ).toHaveProperty("disabled", true);
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

  it("asks after each set what the drill wants noticed, and keeps it", async () => {
    const calls = phone(meWith([block({ drill: "edge-notice", sets: 2, repsPerSet: 1 })]));
    open(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Edge noticing" });
    expect(screen.queryByText("Where did the load run?")).toBeNull();
    good();
    fireEvent.click(screen.getByRole("radio", { name: "Inner edge" }));
    fireEvent.click(screen.getByRole("button", { name: "Go on now" }));
    good();
    fireEvent.click(screen.getByRole("radio", { name: "Outer edge" }));
    await waitFor(() => expect((calls.at(-1)?.body as Entry).blocks[0]?.noticed).toEqual(["inner", "outer"]));
  });

  it("ends a session by the plan it was begun with", async () => {
    phone(meWith([block()]));
    open(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Disc turn" });
    good();
    cleanup();
    phone(meWith([block({ drill: "edge-notice" })]));
    open(<RunnerPage />, { path: "/today/practice" });
    expect(await screen.findByRole("heading", { name: "Disc turn" })).toBeTruthy();
    expect(screen.getByText("1 good of 1")).toBeTruthy();
  });

  it("asks for a rep wrong on purpose and does not judge it", async () => {
    const calls = phone(meWith([block({ sets: 1, repsPerSet: 2, contrast: 1 })]));
    open(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Disc turn" });
    good();
    expect(screen.getByText("This one wrong on purpose").parentElement!.textContent).toContain(
      "to feel the difference. Slide it, slowly.",
    );
    expect(screen.queryByRole("button", { name: "Good" })).toBeNull();
    fireEvent.click(screen.getByRole("button", { name: "Felt it" }));
    expect(screen.getByText("1 good of 1")).toBeTruthy();
    await waitFor(() =>
      expect((calls.at(-1)?.body as Entry).blocks).toMatchObject([{ block: 0, marks: "+o" }]),
    );
  });

  it("asks for none of a drill that is never done wrong on purpose, whatever an earlier plan says", async () => {
    phone(meWith([block({ drill: "edge-notice", sets: 1, repsPerSet: 2, contrast: 1 })]));
    open(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Edge noticing" });
    good();
    expect(screen.queryByText("This one wrong on purpose")).toBeNull();
    expect(screen.getByRole("button", { name: "Good" })).toBeTruthy();
  });

  it("passes by a stopped drill", async () => {
    phone(meWith([block(), block({ drill: "edge-notice" })], { stopped: ["disc-turn"] }));
    open(<RunnerPage />, { path: "/today/practice" });
    expect(await screen.findByRole("heading", { name: "Edge noticing" })).toBeTruthy();
  });
});

describe("two drills at once", () => {
  it("are one block with both in words, and go on alone where the second is stopped for pain", async () => {
    const disc = CATALOGUE.drills["disc-turn"]!;
    const drills = {
      ...CATALOGUE.drills,
      toe: { ...disc, id: "toe", name: "Toe prop", setUp: "A prop under the toes.", cue: "On it" },
    };
    const me = meWith([block({ joined: "toe" })]);
    const known = {
      "GET /api/session": SIGNED_IN,
      "GET /api/catalogue?hand=right": { ...CATALOGUE, drills },
    };
    serve({ [path]: me, ...known });
    open(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Disc turn with toe prop" });
    expect(screen.getByText("At once, toe prop: A prop under the toes. On it.")).toBeTruthy();
    cleanup();
    serve({ [path]: { ...me, stopped: ["toe"] }, ...known });
    open(<RunnerPage />, { path: "/today/practice" });
    await screen.findByRole("heading", { name: "Disc turn" });
    expect(screen.queryByText(/At once/)).toBeNull();
  });
});

describe("own words", () => {
  const me = {
    ...meWith([block()]),
    words: { "disc-turn": { words: "See who is behind you.", film: undefined } },
  };
  const runs = () => open(<RunnerPage />, { path: "/practice" });

  it("has what the coach says before the first rep, and the student's own words beside the cue", async () => {
    const calls = phone(me);
    runs();
    expect((await screen.findByRole("region", { name: "From your coach" })).textContent).toContain(
      "See who is behind you.",
    );
    fireEvent.click(screen.getByRole("button", { name: "Your own words for it" }));
    const field = screen.getByLabelText("Your own words for “Turn the disc”");
    fireEvent.change(field, { target: { value: "look over the wall" } });
    fireEvent.submit(field);
    expect(await screen.findByText("look over the wall")).toBeTruthy();
    await waitFor(() =>
      expect(calls.find((c) => c.request === "PUT /api/me/cues/disc-turn")?.body).toEqual({
        words: "look over the wall",
        edition: 1,
      }),
    );
    fireEvent.click(screen.getByRole("button", { name: "Good" }));
    expect(screen.queryByRole("region", { name: "From your coach" })).toBeNull();
  });
});

describe("the rest between sets", () => {
  it("goes on when the page around it changes", () => {
    vi.useFakeTimers();
    try {
      const over = vi.fn();
      const rest = () => <Rest seconds={30} onOver={() => over()} />;
      const { rerender } = render(rest());
      act(() => vi.advanceTimersByTime(10_000));
      rerender(rest());
      act(() => vi.advanceTimersByTime(10_000));
      expect(screen.getByRole("timer", { name: "Rest, 10 seconds left" })).toBeTruthy();
      rerender(rest());
      act(() => vi.advanceTimersByTime(10_250));
      expect(over).toHaveBeenCalled();
    } finally {
      vi.useRealTimers();
    }
  });
});
