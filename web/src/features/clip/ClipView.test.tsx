import { cleanup, fireEvent, screen, waitFor, within } from "@testing-library/react";
import { QueryClient } from "@tanstack/react-query";
import { renderToStaticMarkup } from "react-dom/server";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Catalogue, Lesson, Wire } from "@/api/types";
import { CATALOGUE, LESSON, serve, show, SIGNED_IN } from "@/test/fixtures";
import { clipPoints, crackAt, foundSwing, keptClip, MOMENTS, READINGS } from "@/test/filmed";
import { motionOf } from "@/test/motion";
import ClipView from "./ClipView";
import { NoFilm, NotFound } from "./noFilm";
import type { Found } from "./finding";
import { POINTS, type PointName } from "./points";
import { filmsOnPaper } from "./filmsOnPaper";
import ThenAndNow from "./ThenAndNow";

/** What the next film holds. */
let next: (byHand: boolean) => Promise<Found>;
vi.mock("./finding", () => ({ findSwing: (...told: unknown[]) => next(told[6] === true) }));

const catalogue: Catalogue = {
  ...CATALOGUE,
  checkpoints: [
    { id: "address", label: "Address", brief: "Address" },
    { id: "top", label: "Top", brief: "Top" },
    { id: "impact", label: "Impact", brief: "Impact" },
  ],
  measures: [
    {
      ...CATALOGUE.measures[0]!,
      id: "pelvis-drift",
      label: "Pelvis travel away from the target",
      unit: "cm",
    },
  ],
};
const ID = LESSON.id;
const view = (clips: Wire["ClipView"][], part: Partial<Wire["ClipsView"]> = {}): Wire["ClipsView"] => ({
  clips,
  height: 178,
  ...part,
});
const read: Wire["TrackView"] = {
  view: "face-on",
  scale: { from: "height", pixelsPerCentimetre: 2, uncertainty: 0.03 },
  moments: MOMENTS,
  readings: READINGS,
  warnings: [],
};
const SERVED = {
  "GET /api/session": { ...SIGNED_IN, demo: [] },
  [`GET /api/lessons/${ID}`]: LESSON,
  [`GET /api/lessons/${ID}/clips`]: view([]),
  [`GET /api/lessons/${ID}/earlier-clips`]: [],
  "POST /api/tracks/read": read,
  "GET /api/clips/c1/points": clipPoints,
  "GET /api/clips/c0/points": clipPoints,
};

beforeEach(() => {
  next = async () => foundSwing();
  URL.createObjectURL = () => "blob:picture";
  URL.revokeObjectURL = () => {};
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function open(served: Record<string, unknown> = {}, lesson: Lesson = LESSON) {
  const calls = serve({ ...SERVED, ...served });
  show(<ClipView lesson={lesson} catalogue={catalogue} saved stage="before" onStage={() => {}} />);
  return calls;
}

const film = async (name = "swing.mp4") => {
  const input = await screen.findByLabelText("Film of a swing", { selector: "input" });
  fireEvent.change(input, { target: { files: [new File(["film"], name)] } });
};
const bodies = (calls: ReturnType<typeof serve>, request: string) =>
  calls.filter((c) => c.request === request).map((c) => c.body as Record<string, never>);

describe("a film of a lesson", () => {
  it("is read as it was found, and kept with what was read", async () => {
    const calls = open({ [`POST /api/lessons/${ID}/clips`]: view([keptClip()]) });
    expect(await screen.findByText("A phone on a stand, hip high, is enough.")).toBeTruthy();
    await film();
    fireEvent.click(await screen.findByRole("button", { name: "Keep" }));
    expect(await screen.findByText("1 kept")).toBeTruthy();
    const sent = bodies(calls, `POST /api/lessons/${ID}/clips`)[0] as unknown as {
      stage: string;
      name: string;
      track: { view: string; height: number; frames: number[][][] };
    };
    expect(sent).toMatchObject({ stage: "before", name: "swing.mp4" });
    expect(sent.track).toMatchObject({ view: "face-on", height: 178 });
    expect(sent.track.frames).toHaveLength(40);
    expect(screen.getByRole("heading", { name: "Clip 1, face on" })).toBeTruthy();
  });

  it("leaves what is being written beside it while it is kept", async () => {
    open({ [`POST /api/lessons/${ID}/clips`]: view([keptClip()]) });
    await film();
    fireEvent.change(await screen.findByLabelText("Who agrees"), { target: { value: "Ferris" } });
    fireEvent.click(await screen.findByRole("button", { name: "Keep" }));
    await screen.findByText("1 kept");
    expect((screen.getByLabelText("Who agrees") as HTMLInputElement).value).toBe("Ferris");
  });

  it("is read from points set by hand where nobody was found", async () => {
    next = async (byHand) => {
      if (!byHand) throw new NotFound("Nobody is to be seen in this film.");
      const swing = foundSwing();
      return {
        ...swing,
        byHand,
        times: swing.times.map((t) => t + 1 / 3e7),
        frames: swing.times.map(() => null),
      };
    };
    const calls = open({ [`POST /api/lessons/${ID}/clips`]: view([keptClip()]) });
    await film();
    fireEvent.click(await screen.findByRole("button", { name: "Set points by hand" }));
    expect(await screen.findByText(/say that it is here/)).toBeTruthy();
    const strip = within(screen.getByRole("list", { name: "Moments of the swing" }));
    const press = (x: number, y: number) => {
      const picture = screen.getByRole("img", { name: /swing\.mp4 at/ });
      picture.getBoundingClientRect = () => ({ left: 0, top: 0, width: 360, height: 480 }) as DOMRect;
      fireEvent(picture, new MouseEvent("pointerdown", { clientX: x, clientY: y, bubbles: true }));
    };
    const set = (moment: string, at: number) => {
      fireEvent.click(strip.getByRole("button", { name: new RegExp(`^${moment}`) }));
      fireEvent.change(screen.getByRole("slider"), { target: { value: `${at}` } });
      fireEvent.click(screen.getByRole("button", { name: `${moment} is here` }));
      expect(screen.getByRole("status").textContent).toContain("press an ear");
      for (let k = 0; k < 6; k++) press(100 + 10 * k, 60 + 40 * k);
      fireEvent.click(screen.getByRole("button", { name: "One back" }));
      expect(screen.getByRole("status").textContent).toContain("press the left ankle");
      press(150, 260);
      fireEvent.click(screen.getByRole("button", { name: "Not to be seen" }));
    };
    set("Address", 4);
    expect(screen.getByRole("status").textContent).toContain("Next: top, impact");
    expect((screen.getByRole("button", { name: "Keep" }) as HTMLButtonElement).disabled).toBe(true);
    set("Top", 24);
    fireEvent.click(strip.getByRole("button", { name: /^Top/ }));
    const shoulder = screen.getByRole("button", { name: /^left shoulder/ });
    fireEvent.keyDown(shoulder, { key: "ArrowRight" });
    const keep = screen.getByRole("button", { name: "Keep" }) as HTMLButtonElement;
    await waitFor(() => expect(keep.disabled).toBe(false));
    fireEvent.click(keep);
    expect(await screen.findByText("1 kept")).toBeTruthy();
    const { track } = bodies(calls, `POST /api/lessons/${ID}/clips`)[0] as unknown as {
      track: { byHand: boolean; frameRate: number; times: number[]; frames: number[][][]; moments: object };
    };
    expect(track).toMatchObject({ byHand: true, frameRate: 20, times: [0.2, 1.2] });
    expect(track.moments).toEqual({ address: 0.2, top: 1.2 });
    const of = (point: PointName, frame: number) => track.frames[frame]![POINTS.indexOf(point)];
    expect(of("right-ear", 0)).toEqual([100, 60, 0.95]);
    expect(of("left-shoulder", 1)).toEqual([111, 100, 0.95]);
    expect(of("left-ankle", 0)).toEqual([150, 260, 0.95]);
    expect(of("right-ankle", 0)).toEqual([0, 0, 0]);
    expect(of("left-wrist", 0)).toEqual([0, 0, 0]);
  });

  it("is kept once even if its pictures do not arrive", async () => {
    const agreed = { on: "2026-11-20", by: "Ferris himself" };
    const calls = open({ [`POST /api/lessons/${ID}/clips`]: view([keptClip()], { agreed }) });
    await film();
    fireEvent.click(await screen.findByRole("button", { name: "Keep" }));
    expect(await screen.findByRole("button", { name: /again/i })).toBeTruthy();
    expect(screen.queryByRole("button", { name: "Keep" })).toBeNull();
    expect(bodies(calls, `POST /api/lessons/${ID}/clips`)).toHaveLength(1);
  });

  it("shows at its top what was read, and never what was read of the film before", async () => {
    open();
    await film();
    expect(await screen.findByRole("img", { name: /1\.20 s, pelvis 9 cm/ })).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Throw away" }));
    let answer: (read: unknown) => void = () => {};
    serve({ ...SERVED, "POST /api/tracks/read": () => new Promise((r) => (answer = r)) });
    next = async () => foundSwing({ id: 2 });
    await film();
    await waitFor(() => expect(answer).not.toBe(undefined));
    expect(screen.queryByRole("img", { name: /pelvis 9 cm/ })).toBeNull();
    answer(undefined);
  });

  it("says what is wrong with a file, and asks for another", async () => {
    next = async () => {
      throw new NoFilm("Nobody is to be seen in this film.");
    };
    open();
    await film();
    expect((await screen.findByRole("alert")).textContent).toContain("Nobody is to be seen");
    expect(screen.queryByRole("button", { name: "Keep" })).toBeNull();
    expect(screen.getByText("A phone on a stand, hip high, is enough.")).toBeTruthy();
  });

  it("says that it was turned, and what makes it useless before anything of it", async () => {
    next = async () => foundSwing({ turned: 90 });
    open({
      "POST /api/tracks/read": {
        ...read,
        moments: [],
        readings: [],
        warnings: [{ code: "no-swing", text: "No way down of the hands." }],
      },
    });
    await film();
    expect(await screen.findByText("The film did not stand upright and was turned.")).toBeTruthy();
    expect(screen.getByText("No way down of the hands.")).toBeTruthy();
    expect((screen.getByRole("button", { name: "Keep" }) as HTMLButtonElement).disabled).toBe(true);
  });

  it("asks for its speed only where the clock seems wrong", async () => {
    open({
      "POST /api/tracks/read": { ...read, warnings: [{ code: "slow-motion", text: "Over three seconds." }] },
    });
    await film();
    expect(await screen.findByLabelText("Speed")).toBeTruthy();
    cleanup();
    open();
    await film();
    await screen.findByRole("button", { name: "Keep" });
    expect(screen.queryByLabelText("Speed")).toBeNull();
  });

  it("is read again with a point where it was dragged, and as it was found after that", async () => {
    const calls = open();
    await film();
    const hip = await screen.findByRole("button", { name: /^left hip/ });
    fireEvent.keyDown(hip, { key: "ArrowRight" });
    fireEvent.keyDown(hip, { key: "Tab" });
    await waitFor(() => expect(bodies(calls, "POST /api/tracks/read")).toHaveLength(2));
    const [found, dragged] = bodies(calls, "POST /api/tracks/read") as unknown as { frames: number[][][] }[];
    const hips = (track: { frames: number[][][] }) => track.frames[24]![9]![0]!;
    expect(hips(dragged!) - hips(found!)).toBeCloseTo(1, 1);
    fireEvent.click(await screen.findByRole("button", { name: "Points as they were found" }));
    await waitFor(() =>
      expect(screen.queryByRole("button", { name: "Points as they were found" })).toBeNull(),
    );
  });

  it("takes impact from the strike that is heard, unless it is set by hand", async () => {
    // Later than where the hands are back, as it is heard.
    next = async () => foundSwing({ sound: crackAt(1.57) });
    const calls = open();
    await film();
    expect(await screen.findByText("Impact is where the strike is heard.")).toBeTruthy();
    const asked = bodies(calls, "POST /api/tracks/read") as unknown as { moments: { impact?: number } }[];
    expect(asked[0]!.moments.impact).toBeUndefined();
    expect(asked[1]!.moments.impact).toBeCloseTo(1.56, 2);
    fireEvent.click(await screen.findByRole("button", { name: /^Impact/ }));
    fireEvent.change(screen.getByRole("slider"), { target: { value: "29" } });
    fireEvent.click(screen.getByRole("button", { name: "Impact is here" }));
    await waitFor(() => expect(screen.queryByText("Impact is where the strike is heard.")).toBeNull());
    expect((asked.at(-1) ?? asked[0]!).moments.impact).toBeDefined();
  });

  it("stands beside the wanted swing, or under it", async () => {
    open({ "GET /api/motions/swing?hand=right&school=early-return": motionOf(0) });
    await film();
    fireEvent.change(await screen.findByLabelText("Against"), { target: { value: "wanted" } });
    expect(await screen.findByRole("img", { name: "The wanted swing" })).toBeTruthy();
    expect(screen.getByText("swing.mp4", { selector: "p" })).toBeTruthy();
    fireEvent.click(screen.getByRole("radio", { name: "Laid over" }));
    expect(screen.queryByText("swing.mp4", { selector: "p" })).toBeNull();
    expect(screen.getByRole("img", { name: "The wanted swing" })).toBeTruthy();
  });
});

describe("a kept clip", () => {
  const kept = { [`GET /api/lessons/${ID}/clips`]: view([keptClip()]) };

  it("keeps its scale and height when a moment is moved", async () => {
    const calls = open({ ...kept, "PUT /api/clips/c1/told": view([keptClip()]) });
    fireEvent.change(await screen.findByRole("slider"), { target: { value: "25" } });
    fireEvent.click(screen.getByRole("button", { name: "Top is here" }));
    await waitFor(() => expect(bodies(calls, "PUT /api/clips/c1/told")).toHaveLength(1));
    expect(bodies(calls, "PUT /api/clips/c1/told")[0]).toEqual({ moments: { top: 1.25 }, height: 178 });
  });

  it("may not count, and be removed", async () => {
    const thrown = view([keptClip({ state: "thrown" })]);
    const calls = open({ ...kept, "PUT /api/clips/c1/state": thrown, "DELETE /api/clips/c1": view([]) });
    fireEvent.click(await screen.findByRole("button", { name: "Does not count" }));
    expect(await screen.findByText("0 kept")).toBeTruthy();
    expect(bodies(calls, "PUT /api/clips/c1/state")[0]).toEqual({ state: "thrown", stage: "before" });
    fireEvent.click(screen.getByRole("button", { name: "Remove clip 1" }));
    expect(await screen.findByText("A phone on a stand, hip high, is enough.")).toBeTruthy();
  });

  it("is held against one of a day before, with the change of every value", async () => {
    const was = keptClip({ id: "c0", readings: [{ ...READINGS[0]!, value: 11.4 }] });
    open({
      ...kept,
      [`GET /api/lessons/${ID}/earlier-clips`]: [{ heldOn: "2026-11-13", clips: [was] }],
    });
    fireEvent.change(await screen.findByLabelText("Against"), { target: { value: "c0" } });
    const row = await screen.findByRole("row", { name: /Pelvis travel/ });
    await waitFor(() => expect(row.textContent).toContain("-3"));
    expect(screen.getAllByRole("img", { name: /pelvis 9 cm/ }).length).toBe(1);
    expect(screen.getByRole("img", { name: /pelvis 11 cm/ })).toBeTruthy();
  });

  it("goes along with the same swing from the other side and on the plate, by the strike", async () => {
    const moments = [{ id: "impact", time: 1, from: "found", uncertainty: 8 }];
    const side = keptClip({ id: "c0", number: 2, view: "down-the-line", moments });
    const plate = { id: "w1", number: 1, stage: "before", seconds: 3, warnings: [], readings: [], spark: [] };
    open({
      [`GET /api/lessons/${ID}/clips`]: view([side, keptClip()]),
      [`GET /api/lessons/${ID}/swings`]: { swings: [{ ...plate, moments: [{ ...moments[0], time: 2 }] }] },
      "GET /api/swings/w1/curve": { step: 0.5, trailShare: [50, 50, 60, 75, 40, 10, 8], halves: null },
    });
    fireEvent.change(await screen.findByLabelText("Against"), { target: { value: "c0" } });
    fireEvent.change(await screen.findByLabelText("Loads"), { target: { value: "w1" } });
    fireEvent.change(screen.getByRole("slider"), { target: { value: "30" } });
    expect(screen.getByRole("img", { name: /clip 2.* at 1\.00 s/ })).toBeTruthy();
    expect(screen.queryByRole("radio", { name: "Laid over" })).toBeNull();
    const loads = within(await screen.findByRole("region", { name: "Loads of this swing" }));
    expect((await loads.findByRole("img")).getAttribute("aria-label")).toContain("40");
    fireEvent.change(screen.getByRole("slider"), { target: { value: "20" } });
    expect(loads.getByRole("img").getAttribute("aria-label")).toContain("75");
  });

  it("has pictures only after somebody agreed, and says who", async () => {
    const calls = open({
      ...kept,
      [`PUT /api/students/${LESSON.studentId}/pictures-agreed`]: new Response(null, { status: 204 }),
    });
    const agrees = await screen.findByLabelText("Who agrees");
    expect((screen.getByRole("button", { name: "Keep stills" }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(agrees, { target: { value: " Ferris himself " } });
    fireEvent.click(screen.getByRole("button", { name: "Keep stills" }));
    await waitFor(() =>
      expect(bodies(calls, `PUT /api/students/${LESSON.studentId}/pictures-agreed`)[0]).toEqual({
        by: "Ferris himself",
      }),
    );
  });

  it("takes them back with the agreement", async () => {
    const agreed = { on: "2026-11-20", by: "Ferris himself" };
    const calls = open({
      [`GET /api/lessons/${ID}/clips`]: view([keptClip({ id: "c9", pictures: ["top"] })], { agreed }),
      "GET /api/clips/c9/points": clipPoints,
      [`PUT /api/students/${LESSON.studentId}/pictures-agreed`]: new Response(null, { status: 204 }),
    });
    await screen.findByText(/Ferris himself agreed on/);
    await screen.findByRole("img", { name: /1\.20 s/ });
    expect(document.querySelector("img")?.getAttribute("src")).toBe("/api/clips/c9/pictures/top");
    fireEvent.click(screen.getByRole("button", { name: "Take back, and remove them" }));
    fireEvent.click(screen.getByRole("button", { name: "Remove" }));
    expect(bodies(calls, `PUT /api/students/${LESSON.studentId}/pictures-agreed`)).toEqual([]);
    window.dispatchEvent(new Event("pagehide"));
    await waitFor(() =>
      expect(bodies(calls, `PUT /api/students/${LESSON.studentId}/pictures-agreed`)[0]).toEqual({ by: null }),
    );
  });
});

describe("films of two lessons", () => {
  const side = (lesson: string) => ({ lesson, stage: "before" });
  const both = (now: Wire["ClipView"]) => {
    serve({
      "GET /api/lessons/old/clips": view([keptClip({ id: "c0" })]),
      "GET /api/lessons/new/clips": view([now]),
      "GET /api/clips/c0/points": clipPoints,
      "GET /api/clips/c1/points": clipPoints,
    });
    show(<ThenAndNow then={side("old")} now={side("new")} hand="right" catalogue={catalogue} />);
  };

  it("stand beside each other at one moment, with what is measured there", async () => {
    both(keptClip({ readings: READINGS.map((r) => ({ ...r, value: 3.3 })) }));
    const films = within(await screen.findByRole("region", { name: "Filmed then and now" }));
    expect(await films.findByText("pelvis 8.6 ± 1.0 cm")).toBeTruthy();
    expect(films.getByText("pelvis 3.3 ± 1.0 cm")).toBeTruthy();
    fireEvent.change(films.getByLabelText("Moment"), { target: { value: "impact" } });
    expect(films.getByText("pelvis -2.1 ± 1.2 cm")).toBeTruthy();
  });

  it("are nowhere unless both were filmed from there and count", async () => {
    both(keptClip({ view: "down-the-line" }));
    await Promise.resolve();
    expect(screen.queryByRole("region")).toBeNull();
    cleanup();
    both(keptClip({ state: "thrown" }));
    await Promise.resolve();
    expect(screen.queryByRole("region")).toBeNull();
  });

  it("go onto paper as they stand there, with their pictures where these are kept", async () => {
    serve({
      ...SERVED,
      "GET /api/lessons/old/clips": view([keptClip({ id: "c0", pictures: ["top"] })]),
      "GET /api/lessons/new/clips": view([keptClip({ id: "c7", readings: [] })]),
      "GET /api/clips/c7/points": clipPoints,
      "GET /api/clips/c0/pictures/top": () =>
        new Response("still", { headers: { "Content-Type": "image/jpeg" } }),
    });
    const [then, now] = await filmsOnPaper(new QueryClient(), side("old"), side("new"), "right", catalogue);
    expect(then!.told).toBe("Then, top: pelvis 8.6 ± 1.0 cm");
    expect(renderToStaticMarkup(then!.picture)).toContain(`href="data:image/jpeg;base64,${btoa("still")}"`);
    expect(now!.told).toBe("Now, top");
    const alone = renderToStaticMarkup(now!.picture);
    expect(alone).not.toContain("<image");
    // The whole body is drawn where there is no picture of it.
    expect(alone.split("<line").length).toBeGreaterThan(30);
  });
});
