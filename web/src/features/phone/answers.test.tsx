import { act, cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { ReactElement } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Catalogue, Me } from "@/api/types";
import { plusDays, today } from "@/calendar/dates";
import { block, CATALOGUE, meWith, serve, show, SIGNED_IN } from "@/test/fixtures";
import CardPage from "./CardPage";
import { Letters } from "./letters";
import { Outbox } from "./outbox";
import RunnerPage from "./RunnerPage";
import SolesPage from "./SolesPage";
import TodayPage from "./TodayPage";
import { Waiting } from "./Waiting";

/** A server that takes whatever it is sent. */
function phone(me: Me, catalogue: Catalogue = CATALOGUE) {
  const known: Record<string, unknown> = {
    "GET /api/me": me,
    "GET /api/session": SIGNED_IN,
    "GET /api/catalogue?hand=right": catalogue,
  };
  return serve(
    new Proxy(known, {
      get: (all, request: string) =>
        request.startsWith("PUT ")
          ? () =>
              request.includes("/practice/")
                ? { session: {}, rungs: [], stopped: [] }
                : new Response(null, { status: 204 })
          : all[request],
    }),
  );
}

const open = (page: ReactElement, path: string) => show(page, { path, known: [[["session"], SIGNED_IN]] });
const tap = (name: string) => fireEvent.click(screen.getByRole("button", { name }));
const kept = () => new Outbox(SIGNED_IN.account!.email).kept()[0]!.entry;

beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("a session that answers", () => {
  const short = block({
    rung: "short",
    sets: 2,
    repsPerSet: 4,
    strikes: 2,
    balls: 2,
    form: "range",
    speed: 60,
  });

  it("takes flight and strike of each ball, in the rhythm, and lets one be put right", async () => {
    phone(meWith([short]));
    open(<RunnerPage />, "/today/practice");
    await screen.findByText("Now without a strike");
    for (let i = 0; i < 3; i++) tap("Good");
    expect(screen.getByText("Now a ball")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Club"), { target: { value: "wedge" } });
    tap("Not");
    const strike = within(screen.getByRole("group", { name: "strike" }));
    fireEvent.click(strike.getByRole("button", { name: "fat" }));
    fireEvent.click(screen.getByRole("button", { name: "slice" }));
    expect(kept().blocks[0]!.told).toMatchObject({
      club: "wedge",
      balls: [{ flight: "slice", strike: "fat" }],
    });
    fireEvent.click(strike.getByRole("button", { name: "solid" }));
    expect(kept().blocks[0]!.told!.balls).toEqual([{ flight: "slice", strike: "solid" }]);
    tap("Go on now");
    tap("Undo");
    expect(kept().blocks[0]!.told!.balls, "with the rep goes its ball").toEqual([]);
  });

  it("asks after a set how fast it was and what was noticed, and says at once whether that is it", async () => {
    phone(meWith([block({ drill: "edge-notice", sets: 2 })]));
    open(<RunnerPage />, "/today/practice");
    await screen.findByText("Set 1 of 2");
    for (let i = 0; i < 5; i++) tap("Good");
    fireEvent.click(screen.getByRole("radio", { name: "60" }));
    fireEvent.click(screen.getByRole("radio", { name: "Outer edge" }));
    expect(screen.getByText("A good set has: inner edge.")).toBeTruthy();
    fireEvent.click(screen.getByRole("radio", { name: "Inner edge" }));
    expect(screen.getByText("That is it.")).toBeTruthy();
    expect(kept().blocks[0]).toMatchObject({ noticed: ["inner"], told: { speeds: [60] } });
  });

  it("offers the easier form after three misses, and takes a no", async () => {
    phone(meWith([block({ sets: 4 })]));
    open(<RunnerPage />, "/today/practice");
    await screen.findByText("Set 1 of 4");
    for (let i = 0; i < 3; i++) tap("Not");
    expect(screen.getByText("3 not, running.")).toBeTruthy();
    tap("No, go on");
    expect(screen.queryByText("3 not, running.")).toBeNull();
    tap("Not");
    tap("Not");
    tap("Go on now");
    tap("Not");
    tap("Easier");
    expect(screen.getByText("Easier now.")).toBeTruthy();
    expect(kept().blocks[0]!.told!.turns).toEqual([{ at: 6, kind: "easier" }]);
  });

  it("offers the next half-step after a good run", async () => {
    const next = { feel: { id: "no-pause", label: "No pause", action: "Straight through." } };
    const drill = { ...CATALOGUE.drills["disc-turn"]!, next };
    phone(meWith([block({ sets: 2, repsPerSet: 10 })]), { ...CATALOGUE, drills: { "disc-turn": drill } });
    open(<RunnerPage />, "/today/practice");
    await screen.findByText("Set 1 of 2");
    for (let i = 0; i < 8; i++) tap("Good");
    expect(screen.getByText("No pause: Straight through.")).toBeTruthy();
    tap("Harder");
    expect(screen.getByText("No pause.")).toBeTruthy();
  });

  it("goes a rung down for one set when it was lost, and comes back", async () => {
    phone(meWith([{ ...short, sets: 1 }]));
    open(<RunnerPage />, "/today/practice");
    await screen.findByText("Now without a strike");
    tap("Lost it");
    expect(screen.getByText("Lost: one set on the rung below")).toBeTruthy();
    for (let i = 0; i < 5; i++) tap("Good");
    tap("Back to the block");
    expect(screen.getByText("Main block, 1 of 1")).toBeTruthy();
    expect(kept().blocks).toMatchObject([{ block: 1, rung: "feel", aside: "below", marks: "+++++" }]);
  });

  it("begins with ten after days without practice", async () => {
    const done = { ...block(), block: 0, marks: "+++++", noticed: [], told: {} };
    const before = { id: "x", day: plusDays(today(), -4), blocks: [done] };
    phone(meWith([block()], { sessions: [before as never] }));
    open(<RunnerPage />, "/today/practice");
    expect(await screen.findByText(/ten first, to see what stayed/)).toBeTruthy();
    for (let i = 0; i < 5; i++) tap("Good");
    expect(kept().blocks).toMatchObject([{ block: 1, kind: "check", aside: "first-ten", marks: "+++++" }]);
  });

  it("counts by a tap anywhere and says where it cannot listen, both only if wanted", async () => {
    phone(meWith([block()]));
    open(<RunnerPage />, "/today/practice");
    await screen.findByText("Set 1 of 1");
    expect(screen.queryByText(/Tap anywhere/)).toBeNull();
    tap("Without hands");
    fireEvent.click(screen.getByRole("checkbox", { name: /tapping anywhere/ }));
    fireEvent.click(screen.getByRole("checkbox", { name: /short sound/ }));
    expect(screen.getByText(/needs a secure connection/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Close" }));
    fireEvent.click(screen.getByRole("button", { name: /Tap anywhere here/ }));
    expect(kept().blocks[0]!.marks).toBe("+");
  });
});

describe("on the course", () => {
  it("has one thing before the shot, one after a bad one and the rescue, without asking the server", async () => {
    phone(meWith([block()]));
    open(<CardPage />, "/card");
    expect(await screen.findByText("Turn the disc")).toBeTruthy();
    expect(screen.getByText(/One rehearsal of disc turn/)).toBeTruthy();
    expect(screen.getByText("Feet closer together.")).toBeTruthy();
  });

  it("is where a day on the course leads: its thought, a few swings and the card", async () => {
    const swing = block({
      kind: "try",
      rung: "transfer",
      sets: 6,
      repsPerSet: 2,
      restSeconds: 0,
      strikes: 6,
      balls: 6,
    });
    const me = meWith([{ ...swing, form: "course", cue: "Lead heel, then turn" }]);
    me.plan!.plan.days[0]!.place = "course";
    phone(me);
    open(<TodayPage />, "/today");
    expect(await screen.findByText("Lead heel, then turn".toLowerCase())).toBeTruthy();
    expect(screen.getByText("6 swings over the round")).toBeTruthy();
    expect(screen.queryByText("Begin")).toBeNull();
    cleanup();
    open(<CardPage />, "/card");
    expect(await screen.findByText("Lead heel, then turn")).toBeTruthy();
  });

  it("keeps three answers after the round until they are sent", async () => {
    const calls = phone(meWith([block()]));
    open(<CardPage />, "/card");
    await screen.findByText("After the round");
    const note = screen.getByRole<HTMLButtonElement>("button", { name: "Note the round" });
    expect(note.disabled).toBe(true);
    const [thought, held] = screen.getAllByRole("radio", { name: "7" });
    fireEvent.click(thought!);
    fireEvent.click(held!);
    fireEvent.click(screen.getByRole("radio", { name: "From the tee" }));
    fireEvent.click(note);
    expect(screen.getByText(/Noted/)).toBeTruthy();
    await waitFor(() => expect(new Letters(SIGNED_IN.account!.email).kept()).toEqual([]));
    expect(calls.find((c) => c.request.startsWith("PUT /api/me/rounds/"))?.body).toMatchObject({
      day: today(),
      thought: 7,
      held: 7,
      cost: "tee",
    });
  });
});

describe("what the feet feel", () => {
  it("is said at three moments and sent", async () => {
    const calls = phone(meWith([block()]));
    show(<SolesPage />, { path: "/today/feet", others: ["/today"], known: [[["session"], SIGNED_IN]] });
    await screen.findByText("Address");
    const slide = (value: string) => fireEvent.change(screen.getByRole("slider"), { target: { value } });
    tap("Next moment");
    slide("80");
    expect(screen.getByRole("img", { name: /80 % on the right/ })).toBeTruthy();
    tap("Next moment");
    slide("30");
    tap("Send to the coach");
    expect(await screen.findByText("Now at /today")).toBeTruthy();
    await waitFor(() =>
      expect(calls.find((c) => c.request.startsWith("PUT /api/me/self-checks/"))?.body).toMatchObject({
        address: 50,
        top: 80,
        impact: 30,
      }),
    );
  });
});

describe("a letter that is not taken", () => {
  it("stays, says why and can be sent again", async () => {
    const letters = new Letters(SIGNED_IN.account!.email);
    letters.write({
      id: "r1",
      what: "the round",
      day: "2026-12-01",
      to: "rounds",
      body: { day: "2026-12-01", edition: 1, thought: 3, held: 3, cost: "tee" },
    });
    let ahead = true;
    serve({
      "GET /api/session": SIGNED_IN,
      "PUT /api/me/rounds/r1": () =>
        ahead
          ? new Response('{"detail":"the phone\'s clock may be wrong."}', { status: 422 })
          : new Response(null, { status: 204 }),
    });
    show(<Waiting />, { known: [[["session"], SIGNED_IN]] });
    expect(await screen.findByText(/clock may be wrong/)).toBeTruthy();
    expect(letters.kept()).toHaveLength(1);
    ahead = false;
    await act(async () => tap("Send it again"));
    await waitFor(() => expect(letters.kept()).toEqual([]));
    expect(screen.queryByText(/clock may be wrong/)).toBeNull();
  });
});
