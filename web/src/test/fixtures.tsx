import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactElement } from "react";
import { createMemoryRouter, type RouteObject, RouterProvider } from "react-router";
import { vi } from "vitest";
import { plusDays, today } from "@/calendar/dates";
import type { Catalogue, Lesson, Me, PlanBlock, Session } from "@/api/types";

const drill = (name: string) => ({
  id: "disc-turn",
  name,
  moving: false,
  mistaken: false,
  variations: { feel: "Hands on the chest.", short: "Low tee." },
  setUp: "Foot on the disc.",
  action: "Turn the disc.",
  feel: "It screws in.",
  good: "The disc turned.",
  mistake: "It slid.",
  fix: "Smaller.",
  onPurpose: "Slide it, slowly.",
  easier: "Hold a chair.",
  harder: "Eyes closed.",
  cue: "Turn the disc",
  caution: "",
  feedback: ["touch"],
  main: ["sway"],
  helps: [] as string[],
  places: ["home", "range"],
  needs: [] as string[],
  schools: [] as string[],
  clashes: [] as string[],
  neverWith: [] as string[],
  careWith: [] as string[],
  after: [] as string[],
  kit: ["disc"],
  bare: false,
  diagram: {
    stance: "normal",
    props: [{ shape: "disc", at: "trail-sole" }],
    press: ["trail-inner"],
    move: "turn-body",
  },
  halfSteps: { feel: [{ id: "slower", label: "Slower", action: "Take twice the time." }] },
  next: {} as Record<string, { id: string; label: string; action: string }>,
  speeds: { feel: 50 } as Record<string, number>,
  moves: [] as string[],
  combines: [] as string[],
  notIn: [] as string[],
  onlyOn: [] as string[],
  firstFor: [] as string[],
});

const EDGE = {
  kind: "edge",
  question: "Where did the load run?",
  answers: [
    { id: "inner", label: "Inner edge" },
    { id: "outer", label: "Outer edge" },
  ],
  right: ["inner"],
};

export const CATALOGUE: Catalogue = {
  version: "1",
  checkpoints: [
    { id: "address", label: "Address", brief: "Address" },
    { id: "top", label: "Top", brief: "Top" },
  ],
  signs: [
    { id: "hips-open-at-address", at: "address", effort: "eye", label: "Hips open", how: "Stand behind." },
    { id: "little-hip-turn", at: "top", effort: "eye", label: "Hips hardly turn", how: "From behind." },
    { id: "pelvis-drifts-back", at: "top", effort: "eye", label: "Pelvis slides away", how: "Face on." },
    {
      id: "ankle-roll-limited",
      at: "address",
      effort: "screen",
      label: "Ankle cannot roll in",
      how: "Standing.",
    },
  ],
  measures: [
    {
      id: "trail-share",
      label: "Load under the trail foot",
      unit: "%",
      atCheckpoint: true,
      asks: ["address", "top", "impact"],
      lowest: 0,
      highest: 100,
      sources: ["seen", "plate"],
    },
    {
      id: "lead-foot-shift",
      label: "Lead foot moved",
      unit: "cm",
      atCheckpoint: false,
      asks: [],
      lowest: 0,
      highest: 60,
      sources: ["seen"],
    },
  ],
  feedback: [
    { id: "touch", label: "Touch" },
    { id: "feel", label: "Feel" },
  ],
  notices: [
    { label: "Edge under the foot", usual: EDGE },
    {
      label: "Centimetres",
      usual: { kind: "foot-moved", question: "How far?", unit: "cm", answers: [], right: [], from: 0, to: 1 },
    },
  ],
  sources: [
    { id: "seen", label: "Seen by the coach" },
    { id: "plate", label: "Pressure plate" },
  ],
  ballResults: [
    { kind: "flight", id: "slice", label: "slice" },
    { kind: "flight", id: "straight", label: "straight" },
    { kind: "strike", id: "fat", label: "fat" },
    { kind: "strike", id: "solid", label: "solid" },
    { kind: "divot", id: "deep", label: "deep divot" },
  ],
  faults: [
    {
      id: "sway",
      label: "Sway",
      stage: "backswing",
      what: "The pelvis slides.",
      lookAlike: "Loading.",
      trap: "Freezing.",
      balls: [],
    },
    {
      id: "over-the-top",
      label: "Over the top",
      stage: "downswing",
      what: "Thrown out.",
      lookAlike: "A chain.",
      trap: "Path.",
      balls: ["flight:slice", "flight:pull"],
    },
  ],
  schools: [
    { id: "early-return", label: "Load early", why: "", corridors: { address: [45, 55], top: [40, 60] } },
    { id: "full-load", label: "Full load", why: "", corridors: { address: [45, 55], top: [70, 85] } },
  ],
  questions: [
    {
      id: "trail-heel",
      label: "Trail heel through impact",
      choices: [
        { id: "roll-low", label: "Roll in and stay low", why: "Keeps the posture." },
        { id: "release-up", label: "Let the heel come up", why: "Off the trail foot." },
      ],
    },
  ],
  flights: [
    { id: "straight", label: "Straight", low: -5, high: 5 },
    { id: "draw", label: "Draw", low: -8, high: -2 },
  ],
  levels: [{ id: "improver", label: "Improver" }],
  ageBands: [{ id: "adult", label: "Adult" }],
  joints: [
    { id: "knee", label: "Knee" },
    { id: "back", label: "Lower back" },
    { id: "balance", label: "Balance" },
  ],
  places: [
    { id: "home", label: "At home" },
    { id: "range", label: "Range" },
  ],
  shoes: [{ id: "soft", label: "Soft" }],
  grounds: [{ id: "grass", label: "Grass" }],
  forms: [
    { id: "none", label: "No strike", how: "", realBall: false },
    { id: "brush", label: "Brush", how: "The club brushes a mark.", realBall: false },
    { id: "range", label: "Range ball", how: "A real ball.", realBall: true },
  ],
  equipment: [{ id: "disc", label: "Flying disc", usual: false }],
  rungs: [
    { id: "feel", label: "Feel", rehearsals: 0, balls: 0 },
    { id: "rehearse", label: "Rehearse", rehearsals: 0, balls: 0 },
    { id: "short", label: "Short ball", rehearsals: 3, balls: 1 },
  ],
  practice: {
    misses: 3,
    good: 8,
    rehearsals: 2,
    gapDays: 3,
    clubs: [
      { id: "wedge", label: "Wedge" },
      { id: "driver", label: "Driver" },
    ],
    swingLengths: [{ id: "waist", label: "Waist-high" }],
    costs: [
      { id: "none", label: "None in particular" },
      { id: "tee", label: "From the tee" },
    ],
  },
  scales: {},
  drills: {
    "disc-turn": drill("Disc turn"),
    "edge-notice": {
      ...drill("Edge noticing"),
      id: "edge-notice",
      onPurpose: undefined,
      notice: EDGE,
    },
  },
  ownDrills: [],
  setAside: [],
};

const moment = () => ({ readings: [], shots: { flight: {}, strike: {}, divot: {} } });

export const LESSON: Lesson = {
  id: "l1",
  studentId: "s1",
  studentName: "Ferris Dunmore",
  handedness: "right",
  complaint: "",
  flags: [],
  heldOn: "2026-12-01",
  entry: {
    approach: { pressure: "early-return" },
    signs: {},
    before: moment(),
    after: moment(),
    note: "",
    tries: {},
  },
  studentUnits: "metric",
  measured: [],
  diagnosis: {
    faults: [
      {
        id: "sway",
        probability: 0.93,
        grade: "likely",
        for: [{ evidence: "pelvis-drifts-back", weight: 2.1, text: "Pelvis slides away" }],
        against: [{ evidence: "feet-frozen", weight: -0.4, text: "Not seen: feet still" }],
      },
      { id: "over-the-top", probability: 0.3, grade: "possible", for: [], against: [] },
    ],
    chain: [],
    focus: ["sway"],
    nextLooks: [
      { sign: "little-hip-turn", gain: 0.3, worth: 0.3, effort: "eye", how: "From behind." },
      { sign: "hips-open-at-address", gain: 0.1, worth: 0.1, effort: "eye", how: "Stand behind." },
    ],
    nextReadings: [
      {
        id: "trail-share",
        at: "top",
        source: "plate",
        gain: 1.2,
        worth: 0.2,
        effort: "plate",
        how: "Three swings on the plate.",
      },
    ],
    unexplained: [],
    notes: ["Trap with sway: freezing."],
  },
  history: [],
  focus: [],
  focusReason: "",
  saves: [],
  version: 1,
};

export const block = (part: Partial<PlanBlock> = {}): PlanBlock => ({
  fault: "sway",
  drill: "disc-turn",
  rung: "feel",
  kind: "main",
  sets: 1,
  repsPerSet: 5,
  restSeconds: 20,
  balls: 0,
  minutes: 1,
  cue: "Turn the disc",
  scored: false,
  contrast: 0,
  locked: false,
  harder: false,
  form: "none",
  strikes: 0,
  speed: 50,
  ...part,
});

export const SIGNED_IN: Session = {
  account: {
    id: "coach",
    name: "Ferris Dunmore",
    email: "ferris@x.example",
    role: "student",
    owner: false,
    units: "metric",
  },
  firstRun: false,
  demo: [],
  daysAhead: 0,
};

/** What the phone of a student knows who has these blocks to do on one day, today if no other is said. */
export function meWith(blocks: PlanBlock[], part: Partial<Me> = {}, date = today()): Me {
  const day = { date, place: "home", minutes: 12, blocks };
  const [from, nextLesson] = [plusDays(date, -1), plusDays(date, 13)];
  return {
    name: "Ferris Dunmore",
    handedness: "right",
    units: "metric",
    rescue: "Feet closer together.",
    tempo: { backswing: 840, downswing: 280, own: false },
    words: {},
    cues: {},
    plan: {
      id: "p1",
      studentId: "s1",
      lessonId: "l1",
      from,
      nextLesson,
      assigned: true,
      revision: 1,
      version: 3,
      terms: { from, nextLesson },
      changes: [],
      stopped: [],
      promised: [],
      today: today(),
      plan: {
        route: [
          {
            rung: "feel",
            fault: "sway",
            drill: "disc-turn",
            gate: { good: 8, of: 10, days: 2, coachSigns: false },
            why: "",
            chance: 0.7,
          },
        ],
        days: [day],
        totals: { reps: 0, balls: 0, minutes: 0, wantedReps: 0 },
        kit: [],
        leftOut: [],
        cautions: [],
        warnings: [],
      },
    },
    sessions: [],
    why: ["The pelvis slides away."],
    stopped: [],
    rungs: [],
    junior: false,
    ...part,
  };
}

/** An answer that never comes. */
export const NO_SIGNAL = () => {
  throw new TypeError("no signal");
};

/** Answers requests by "METHOD /path"; anything else fails the test by failing the request. */
export function serve(answers: Record<string, unknown | ((body: unknown) => unknown)>) {
  const calls: { request: string; body: unknown }[] = [];
  vi.stubGlobal("fetch", async (path: string, init: RequestInit = {}) => {
    const request = `${init.method ?? "GET"} ${path}`;
    const body = init.body ? JSON.parse(init.body as string) : undefined;
    calls.push({ request, body });
    const given = answers[request];
    const answer = typeof given === "function" ? given(body) : given;
    if (answer === undefined) return new Response('{"detail":"not here"}', { status: 404 });
    return answer instanceof Response ? answer.clone() : Response.json(answer);
  });
  return calls;
}

type Where = { path?: string; at?: string; others?: string[]; known?: [readonly unknown[], unknown][] };

/** Shows a page at an address, with its own router and query client. */
export function show(element: ReactElement, { path = "/", at = path, others = [], known = [] }: Where = {}) {
  return showRoutes(
    [{ path, element }, ...others.map((p) => ({ path: p, element: <p>Now at {p}</p> }))],
    at,
    known,
  );
}

/** Shows several pages, beginning at an address; gives the router between them. */
export function showRoutes(routes: RouteObject[], at: string, known: Where["known"] = []) {
  const router = createMemoryRouter(routes, { initialEntries: [at] });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  for (const [key, data] of known) client.setQueryData(key, data);
  render(
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return router;
}
