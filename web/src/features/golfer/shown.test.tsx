import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { queries } from "@/api/queries";
import type { Catalogue, Diagnosis, StoredPlan } from "@/api/types";
import { block, CATALOGUE, LESSON, serve, show } from "@/test/fixtures";
import { motionOf } from "@/test/motion";
import { inOrder } from "../lesson/chainShape";
import ShowStudent from "../lesson/ShowStudent";
import { useMotionsAhead } from "../phone/motionsAhead";
import type { Today } from "../phone/today";
import { PlanDays } from "../plan/PlanDays";
import { shownOn } from "../plan/sheetShape";
import BlockGolfer from "./BlockGolfer";
import { LOOKS, lookFor, shaded } from "./looks";
import SignSheet from "./SignSheet";
import ThenAndNowGolfer from "./ThenAndNowGolfer";
import { WantedSwing } from "./WantedSwing";

const MOVING: Catalogue = {
  ...CATALOGUE,
  drills: Object.fromEntries(
    Object.entries(CATALOGUE.drills).map(([id, drill]) => [id, { ...drill, moving: true }]),
  ),
};
const OWN = `GET /api/lessons/${LESSON.id}/motion`;
const SOUND = "GET /api/motions/swing?hand=right&school=early-return";

beforeEach(() => {
  vi.stubGlobal("matchMedia", () => ({ matches: true, addEventListener() {}, removeEventListener() {} }));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe("what a coach shows", () => {
  it("is the fault that a sign speaks for most, over sound movement, marked where to look", async () => {
    serve({
      "GET /api/motions/swing?fault=sway%3A1.00&hand=right&school=early-return": motionOf(90),
      [SOUND]: motionOf(0),
    });
    const sign = { ...CATALOGUE.signs[0]!, shows: "sway", how: "Stand face on." };
    const closed = vi.fn();
    show(
      <SignSheet sign={sign} catalogue={CATALOGUE} lesson={LESSON} school="early-return" onClose={closed} />,
    );
    await screen.findByLabelText("Time in the movement");
    expect(screen.getByText("Stand face on.")).toBeTruthy();
    await waitFor(() => expect(document.querySelectorAll("g[opacity='0.35']").length).toBe(1));
    expect(document.querySelectorAll("circle").length).toBeGreaterThan(0);
    fireEvent.click(screen.getByRole("button", { name: "Close" }));
    expect(closed).toHaveBeenCalled();
  });

  it("begins at the feet where the fault is of a foot", async () => {
    serve({
      "GET /api/motions/swing?fault=sway%3A1.00&hand=right&school=early-return": motionOf(90, {
        look: ["trail-heel"],
      }),
      [SOUND]: motionOf(0),
    });
    const sign = { ...CATALOGUE.signs[0]!, shows: "sway", how: "" };
    show(
      <SignSheet
        sign={sign}
        catalogue={CATALOGUE}
        lesson={LESSON}
        school="early-return"
        onClose={() => {}}
      />,
    );
    expect(await screen.findByRole("img", { name: /the feet alone/ })).toBeTruthy();
  });

  it("is the student's own swing as measured, and one fault alone on a tap", async () => {
    const calls = serve({
      [OWN]: { motion: motionOf(80), measured: ["Hip turn", "Backswing time"], height: 178 },
      [`${SOUND}&height=178`]: motionOf(0),
      "GET /api/motions/swing?fault=sway%3A1.00&hand=right&school=early-return": motionOf(90),
      [SOUND]: motionOf(0),
    });
    const back = vi.fn();
    show(<ShowStudent lesson={LESSON} entry={LESSON.entry} catalogue={CATALOGUE} onClose={back} />);
    const fault = await screen.findByRole("button", { name: /1\. / });
    await screen.findByLabelText("Time in the movement");
    expect(screen.getByText(/^As measured: hip turn, backswing time\./)).toBeTruthy();
    await waitFor(() => expect(calls.some((c) => c.request.includes("height=178"))).toBe(true));
    fireEvent.click(fault);
    await waitFor(() => expect(calls.some((c) => c.request.includes("sway%3A1.00"))).toBe(true));
    expect(fault.getAttribute("aria-pressed")).toBe("true");
    fireEvent.click(screen.getByRole("button", { name: "Back to the lesson" }));
    expect(back).toHaveBeenCalled();
  });

  it("is how the swing was over how it is, where both were measured in something alike", async () => {
    const THEN = "GET /api/lessons/then/motion";
    const own = (sway: number, measured: string[]) => ({ motion: motionOf(sway), measured, height: 175 });
    serve({ [THEN]: own(90, ["Hip turn", "Head travel"]), [OWN]: own(30, ["Hip turn"]) });
    show(<ThenAndNowGolfer then="then" now={LESSON} />);
    await screen.findByText(/^As measured: hip turn\./);
    expect(document.querySelectorAll("g[opacity='0.35']").length).toBe(1);
    cleanup();
    const known: [readonly unknown[], unknown][] = [
      [queries.ownSwing("then").queryKey, own(90, ["Head travel"])],
      [queries.ownSwing(LESSON.id, LESSON).queryKey, own(30, ["Hip turn"])],
    ];
    show(<ThenAndNowGolfer then="then" now={LESSON} />, { known });
    expect(document.querySelector("svg")).toBeNull();
  });

  it("goes from root to ball, and takes what is possible where nothing is likely", () => {
    const finding = (id: string, grade: string) =>
      ({ id, grade, probability: 0.5, for: [], against: [] }) as Diagnosis["faults"][number];
    const faults = [finding("over-the-top", "likely"), finding("sway", "likely")];
    const of = (list: Diagnosis["faults"]) =>
      inOrder({ ...LESSON.diagnosis, faults: list }, CATALOGUE).map((f) => f.id);
    expect(of(faults)).toEqual(["sway", "over-the-top"]);
    expect(of([finding("sway", "possible"), finding("over-the-top", "unlikely")])).toEqual(["sway"]);
  });

  it("is always the same person for the same name, and not for all", () => {
    expect(lookFor("Petra Lund")).toBe(lookFor("Petra Lund"));
    const seen = new Set(["Ada", "Bram", "Corin", "Dag", "Elva", "Finn"].map((n) => lookFor(n).id));
    expect(seen.size).toBeGreaterThan(1);
    expect(LOOKS.map((l) => l.id)).toContain(lookFor("").id);
    expect(lookFor("Petra Lund", "clay").id).toBe("clay");
    expect(lookFor("Petra Lund", "gone")).toBe(lookFor("Petra Lund"));
  });
});

describe("on a coach's pages", () => {
  it("is the pose of the rung that a day asks for, all days' in one request, as tall as the student", async () => {
    const asked = "GET /api/motions/poses?hand=right&of=disc-turn%3Ashort&of=disc-turn%3Afeel&height=164";
    const calls = serve({ [asked]: { "disc-turn:short": motionOf(0), "disc-turn:feel": motionOf(0) } });
    const day = (date: string, rung: string) => ({
      date,
      place: "home",
      minutes: 10,
      blocks: [block({ rung }), block({ rung: "feel", kind: "check" })],
    });
    const days = [day("2026-12-01", "short"), day("2026-12-02", "feel"), day("2026-12-03", "feel")];
    const stored = { plan: { days }, stopped: [] } as unknown as StoredPlan;
    show(
      <PlanDays
        stored={stored}
        catalogue={MOVING}
        practised={[]}
        lesson={{ ...LESSON, studentLook: "sea", studentHeight: 164 }}
      />,
    );
    await waitFor(() => expect(document.querySelectorAll("svg.golfer")).toHaveLength(3));
    expect(calls.map((c) => c.request)).toEqual([asked]);
    const drawn = document.querySelector("svg.golfer")!.innerHTML;
    const alike = (colour: string) =>
      Array.from({ length: 281 }, (_, i) => shaded(colour, 0.72 + i / 1000)).some((c) => drawn.includes(c));
    expect([alike(LOOKS[1]!.colours.top), alike(LOOKS[0]!.colours.top)]).toEqual([true, false]);
  });

  it("is the swing that a student is taught, where the coach teaches another", async () => {
    serve({
      "GET /api/students/s1/approach": {
        coach: { pressure: "centred" },
        exceptions: { pressure: "full-load" },
      },
      "GET /api/motions/swing?hand=left&school=full-load": motionOf(0),
    });
    show(<WantedSwing studentId="s1" hand="left" />);
    expect((await screen.findAllByText("Address"))[0]).toBeTruthy();
  });
});

describe("on the phone", () => {
  const drill = MOVING.drills["disc-turn"]!;
  const motion = "GET /api/motions/drills/disc-turn?rung=feel&hand=right&mistake=false";

  it("shows the movement under its half-step, and the soles where it is not here", async () => {
    serve({ [`${motion}&halfStep=slower`]: motionOf(50) });
    show(<BlockGolfer drill={drill} block={{ rung: "feel", condition: "slower" }} hand="right" />);
    await screen.findByLabelText("Time in the movement");
    expect(screen.queryByRole("button", { name: "Down the line" })).toBeNull();
    cleanup();
    serve({});
    show(<BlockGolfer drill={drill} block={{ rung: "feel" }} hand="right" />);
    expect(await screen.findByRole("img", { name: /Disc turn/ })).toBeTruthy();
  });

  it("is one still pose where that is enough", async () => {
    serve({ [motion]: motionOf(50) });
    show(<BlockGolfer still drill={drill} block={{ rung: "feel" }} hand="right" />);
    await waitFor(() => expect(document.querySelector("svg.golfer")).toBeTruthy());
    expect(screen.queryByLabelText("Time in the movement")).toBeNull();
  });

  it("fetches the coming days' movements, each once, and none of days gone by", async () => {
    const calls = serve({});
    const day = (date: string, ...rungs: string[]) => ({
      date,
      place: "home",
      minutes: 10,
      blocks: rungs.map((rung) => block({ rung })),
    });
    const today = {
      date: "2026-12-02",
      handedness: "right",
      plan: {
        plan: { days: [day("2026-12-01", "short"), day("2026-12-02", "feel"), day("2026-12-03", "feel")] },
      },
    } as unknown as Today;
    function Ahead() {
      useMotionsAhead(today, MOVING);
      return null;
    }
    render(
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <Ahead />
      </QueryClientProvider>,
    );
    await waitFor(() => expect(calls.map((c) => c.request)).toEqual([motion]));
  });
});

it("puts each drill of a sheet on paper once, on the rung it is done on first", () => {
  const drill = MOVING.drills["disc-turn"]!;
  const day = (rung: string) => ({ date: rung, when: "", where: "", drill, rung, lines: [] });
  expect(shownOn({ weeks: [[day("feel"), day("short")], [day("short")]], stopped: [] })).toEqual([
    { drill, rung: "feel" },
  ]);
  expect(
    shownOn({ weeks: [[{ ...day("feel"), drill: CATALOGUE.drills["disc-turn"]! }]], stopped: [] }),
  ).toEqual([]);
  expect(shownOn({ weeks: [[day("feel")]], stopped: [drill.id] })).toEqual([]);
});
