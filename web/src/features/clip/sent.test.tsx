import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Student, Wire } from "@/api/types";
import { block, CATALOGUE, meWith, serve, show, showRoutes, SIGNED_IN } from "@/test/fixtures";
import { clipPoints, crackAt, foundSwing, keptClip, MOMENTS, picture } from "@/test/filmed";
import { motionOf } from "@/test/motion";
import type { Found } from "./finding";
import SendFilmPage from "./SendFilmPage";
import SentFilmPage from "./SentFilmPage";
import { SentFilms } from "./SentFilms";

let next: () => Promise<Found>;
vi.mock("./keptFilm", () => ({ written: async () => picture() }));
vi.mock("./finding", () => ({ findSwing: () => next() }));

beforeEach(() => {
  next = async () => foundSwing();
  URL.createObjectURL = () => "blob:picture";
  URL.revokeObjectURL = () => {};
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const sent = (part: Partial<Wire["SentClip"]> = {}): Wire["SentClip"] => ({
  practisedOn: "2026-11-25",
  seen: false,
  clip: keptClip({ stage: "practice" }),
  ...part,
});
const bodies = (calls: ReturnType<typeof serve>, request: string) =>
  calls.filter((c) => c.request === request).map((c) => c.body as Record<string, unknown>);

const READ: Wire["TrackView"] = {
  view: "face-on",
  scale: { from: "none" },
  moments: MOMENTS,
  readings: [],
  warnings: [{ code: "no-scale", text: "Without a scale there are no lengths." }],
};
const send = async () => {
  const button = (await screen.findByRole("button", { name: "Send" })) as HTMLButtonElement;
  await waitFor(() => expect(button.disabled).toBe(false));
  fireEvent.click(button);
};

describe("a swing for the coach", () => {
  function phone(served: Record<string, unknown> = {}, part = {}) {
    const calls = serve({
      "GET /api/session": { ...SIGNED_IN, demo: [] },
      "GET /api/me": meWith([block()], part),
      "GET /api/catalogue?hand=left": CATALOGUE,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/me/clips": [],
      "POST /api/tracks/read": READ,
      ...served,
    });
    show(<SendFilmPage />, { path: "/today/film" });
    return calls;
  }
  const film = async () => {
    const input = await screen.findByLabelText("Film of a swing", { selector: "input" });
    fireEvent.change(input, { target: { files: [new File(["film"], "mine.mov")] } });
  };

  it("is found on the phone and sent without the film, and without pictures unless somebody agrees", async () => {
    const calls = phone({ "POST /api/me/clips": [sent()] });
    await film();
    expect(await screen.findByText("Face on, found in 40 of 40 pictures")).toBeTruthy();
    await send();
    expect(await screen.findByText("Waits for your coach")).toBeTruthy();
    const entry = bodies(calls, "POST /api/me/clips")[0]!;
    expect(entry).toMatchObject({ name: "swing.mp4", width: 360, height: 480 });
    expect(entry.agreed).toBeUndefined();
    expect(calls.some((c) => c.request.startsWith("PUT"))).toBe(false);
  });

  it("goes with the pictures of its moments where that is agreed", async () => {
    const ok = () => new Response(null, { status: 204 });
    const calls = phone({
      "POST /api/me/clips": [sent()],
      "PUT /api/me/clips/c1/pictures/address": ok(),
      "PUT /api/me/clips/c1/pictures/top": ok(),
      "PUT /api/me/clips/c1/pictures/impact": ok(),
    });
    await film();
    fireEvent.click(await screen.findByRole("checkbox", { name: "My coach may keep eight pictures of it" }));
    await send();
    await waitFor(() => expect(bodies(calls, "PUT /api/me/clips/c1/pictures/impact")).toHaveLength(1));
    expect(bodies(calls, "POST /api/me/clips")[0]!.agreed).toBe("Ferris Dunmore");
    expect(bodies(calls, "PUT /api/me/clips/c1/pictures/top")[0]!.jpeg).toBeTruthy();
  });

  it("goes with its film only where that is chosen, too", async () => {
    const ok = () => new Response(null, { status: 204 });
    const calls = phone({
      "POST /api/me/clips": [sent({ clip: keptClip({ moments: [] }) })],
      "PUT /api/me/clips/c1/film": ok(),
    });
    await film();
    expect(screen.queryByRole("checkbox", { name: /And the film/ })).toBeNull();
    fireEvent.click(await screen.findByRole("checkbox", { name: "My coach may keep eight pictures of it" }));
    fireEvent.click(screen.getByRole("checkbox", { name: /And the film/ }));
    await send();
    await waitFor(() =>
      expect(bodies(calls, "PUT /api/me/clips/c1/film")[0]).toEqual({
        mp4: btoa("\xff\xd8\xff"),
        agreed: "Ferris Dunmore",
      }),
    );
  });

  it("is sent once even if its pictures do not arrive, and these again", async () => {
    const ok = new Response(null, { status: 204 });
    let line = false;
    const calls = phone({
      "POST /api/me/clips": [sent()],
      "PUT /api/me/clips/c1/pictures/address": ok,
      "PUT /api/me/clips/c1/pictures/top": () =>
        line ? ok : new Response('{"detail":"gone"}', { status: 503 }),
      "PUT /api/me/clips/c1/pictures/impact": ok,
    });
    await film();
    fireEvent.click(await screen.findByRole("checkbox", { name: "My coach may keep eight pictures of it" }));
    await send();
    const again = await screen.findByRole("button", { name: /again/i });
    expect(screen.queryByRole("button", { name: "Send" })).toBeNull();
    line = true;
    fireEvent.click(again);
    await waitFor(() => expect(bodies(calls, "PUT /api/me/clips/c1/pictures/impact")).toHaveLength(1));
    expect(bodies(calls, "POST /api/me/clips")).toHaveLength(1);
  });

  it("says what spoils a film before it is sent, and has impact where the strike is heard", async () => {
    const spoiled = [{ code: "no-swing", text: "No way down of the hands is to be found." }];
    phone({ "POST /api/tracks/read": { ...READ, moments: [], warnings: spoiled } });
    await film();
    expect(await screen.findByText("No way down of the hands is to be found.")).toBeTruthy();
    expect((screen.getByRole("button", { name: "Send" }) as HTMLButtonElement).disabled).toBe(true);
    cleanup();
    next = async () => foundSwing({ sound: crackAt(1.53) });
    const calls = phone({ "POST /api/me/clips": [sent()] });
    await film();
    await send();
    expect(await screen.findByText("Waits for your coach")).toBeTruthy();
    expect(screen.queryByText("Without a scale there are no lengths.")).toBeNull();
    const { track } = bodies(calls, "POST /api/me/clips")[0] as { track: { moments: { impact: number } } };
    expect(track.moments.impact).toBeCloseTo(1.52, 2);
  });

  it("of a junior keeps pictures only on the adult's word", async () => {
    phone({}, { junior: true });
    await film();
    const pictures = await screen.findByRole("checkbox", { name: /^An adult agrees/ });
    expect((pictures as HTMLInputElement).disabled).toBe(true);
    cleanup();
    phone({}, { junior: true, adult: "Aunt Mirrel" });
    await film();
    expect(await screen.findByRole("checkbox", { name: /^Aunt Mirrel agrees/ })).toBeTruthy();
  });

  it("says why it was not taken, and keeps what was found", async () => {
    phone({
      "POST /api/me/clips": new Response('{"detail":"Your coach has 5 films of yours to look at."}', {
        status: 409,
      }),
    });
    await film();
    await send();
    expect(await screen.findByText(/5 films of yours/)).toBeTruthy();
    expect(screen.getByRole("button", { name: "Send" })).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Throw away" }));
    expect(await screen.findByText("Choose a film")).toBeTruthy();
  });

  it("can be taken back, and says whether the coach has looked", async () => {
    phone({ "GET /api/me/clips": [sent({ seen: true })], "DELETE /api/me/clips/c1": [] });
    expect(await screen.findByText("Your coach has looked at it")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Take back" }));
    fireEvent.click(screen.getByRole("button", { name: "Remove" }));
    window.dispatchEvent(new Event("pagehide"));
    await waitFor(() => expect(screen.queryByRole("heading", { name: "Sent" })).toBeNull());
  });
});

describe("what a student sent", () => {
  const student: Student = {
    id: "s1",
    signedUp: true,
    version: 0,
    coachId: "c",
    own: true,
    profile: {
      name: "Ferris Dunmore",
      handedness: "right",
      level: "improver",
      ageBand: "adult",
      shoes: "soft",
      units: "metric",
      complaint: "",
      flags: [],
      kit: [],
      week: {},
    },
  };
  const served = {
    "GET /api/session": SIGNED_IN,
    "GET /api/students/s1": student,
    "GET /api/students/s1/sent-clips": [sent()],
    "GET /api/students/s1/approach": { coach: { pressure: "early-return" }, exceptions: {} },
    "GET /api/students/s1/thread?last=12": { series: [], all: 0, between: [], knots: [] },
    "GET /api/catalogue?hand=right": CATALOGUE,
    "GET /api/clips/c1/points": clipPoints,
    "POST /api/clips/c1/seen": new Response(null, { status: 204 }),
    "GET /api/motions/swing?hand=right&school=early-return": motionOf(0),
  };
  const open = (part: Record<string, unknown> = {}, clip = "c1") => {
    const calls = serve({ ...served, ...part });
    showRoutes(
      [{ path: "/students/:id/films/:clip", element: <SentFilmPage /> }],
      `/students/s1/films/${clip}`,
    );
    return calls;
  };

  it("is seen once it is looked at, and stands beside the wanted swing", async () => {
    const calls = open();
    expect(await screen.findByRole("heading", { name: /filmed on Wednesday,? 25/ })).toBeTruthy();
    expect(await screen.findByRole("img", { name: /1\.20 s, pelvis 9 cm/ })).toBeTruthy();
    await waitFor(() => expect(bodies(calls, "POST /api/clips/c1/seen")).toHaveLength(1));
    fireEvent.change(screen.getByLabelText("Against"), { target: { value: "wanted" } });
    expect(await screen.findByRole("img", { name: "The wanted swing" })).toBeTruthy();
  });

  it("is not said to be seen twice, and may be given its scale", async () => {
    const calls = open({
      "GET /api/students/s1/sent-clips": [sent({ seen: true })],
      "PUT /api/clips/c1/told": { clips: [], height: 181 },
    });
    const height = await screen.findByLabelText(/Scale by the height/);
    fireEvent.change(height, { target: { value: "181" } });
    await waitFor(() =>
      expect(bodies(calls, "PUT /api/clips/c1/told").at(-1)).toMatchObject({ height: 181 }),
    );
    expect(bodies(calls, "POST /api/clips/c1/seen")).toHaveLength(0);
  });

  it("lets the gate be signed that waits for a look", async () => {
    const rung = {
      fault: "sway",
      rung: "feel",
      drill: "disc-turn",
      says: "",
      sets: [{ on: "2026-11-24", good: 9, of: 10 }],
    };
    const rungs = [
      { ...rung, standing: "waits" },
      { ...rung, rung: "short", standing: "stay" },
    ];
    const calls = open({
      "GET /api/students/s1/practice?page=0": { sessions: [], all: 0, stopped: [], rungs },
      "POST /api/students/s1/gates/sway/feel/signature": {},
    });
    expect((await screen.findByText(/waits for your word/)).textContent).toContain("9 of 10");
    fireEvent.click(screen.getByRole("button", { name: "Sign the gate" }));
    await waitFor(() =>
      expect(bodies(calls, "POST /api/students/s1/gates/sway/feel/signature")).toHaveLength(1),
    );
  });

  it("may have been taken back meanwhile", async () => {
    open({}, "gone");
    expect(await screen.findByText("This film was taken back.")).toBeTruthy();
  });

  it("is listed on the student's page, new ones standing out", async () => {
    serve({
      "GET /api/students/s1/sent-clips": [
        sent(),
        sent({ practisedOn: "2026-11-20", seen: true, clip: keptClip({ id: "c0", view: "down-the-line" }) }),
      ],
    });
    show(<SentFilms studentId="s1" />);
    expect((await screen.findByRole("link", { name: /^Wednesday,? 25 November/ })).className).toContain(
      "semibold",
    );
    expect(screen.getByText(/not looked at yet/).textContent).toContain("face on");
    expect(screen.getByText("down the line")).toBeTruthy();
    cleanup();
    serve({ "GET /api/students/s1/sent-clips": [] });
    show(<SentFilms studentId="s1" />);
    await Promise.resolve();
    expect(screen.queryByText("Films sent")).toBeNull();
  });
});
