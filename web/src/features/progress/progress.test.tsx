import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Compare, Progress, Thread, Wire } from "@/api/types";
import { CATALOGUE, serve, show } from "@/test/fixtures";
import ComparePage from "./ComparePage";
import { ProposalPanel } from "./ProposalPanel";
import ProposalsPage from "./ProposalsPage";
import { ThreadPicture } from "./ThreadPicture";
import { differenceSaid, distanceSaid } from "./verdicts";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const kind = (id: string, plan = true) => ({ id, label: `Label of ${id}`, means: `Means of ${id}`, plan });

describe("a proposal", () => {
  const proposal: NonNullable<Progress["proposal"]> = {
    kind: kind("go-on"),
    because: ["Better and kept: slice."],
    others: [kind("smaller-plan"), kind("look-again", false)],
  };
  const open = (part: Partial<typeof proposal> = {}, answer?: unknown) => {
    const calls = serve({ "PUT /api/lessons/l1/proposal": answer ?? { done: kind("go-on") } });
    show(
      <ProposalPanel
        lessonId="l1"
        proposal={{ ...proposal, ...part }}
        worked={["sway"]}
        catalogue={CATALOGUE}
      />,
      { others: ["/lessons/:id/plan"] },
    );
    return calls;
  };

  it("opens the plan once it is taken", async () => {
    const calls = open();
    fireEvent.click(screen.getByRole("button", { name: "Take it and plan" }));
    expect(await screen.findByText("Now at /lessons/:id/plan")).toBeTruthy();
    expect(calls[0]!.body).toEqual({ proposed: "go-on", answer: "taken", instead: null, reason: "" });
  });

  it.each([
    ["look-again", "To the diagnosis", "why"],
    ["look-further", "To what to look at next", "before"],
    ["measure", "To the balls", "before"],
  ])("leads from %s to where it is done", (id, label, view) => {
    const answer = {
      proposed: kind(id, false),
      answer: "taken",
      done: kind(id, false),
      reason: "",
      answeredAt: "",
    };
    open({ kind: kind(id, false), answer });
    expect(screen.getByRole("link", { name: label }).getAttribute("href")).toBe(`/lessons/l1?view=${view}`);
    expect(screen.queryByRole("link", { name: "To the plan" })).toBeNull();
  });

  it("asks what is done instead and why", async () => {
    const calls = open({}, { done: kind("look-again", false) });
    fireEvent.click(screen.getByRole("button", { name: "Something else" }));
    expect(screen.getByLabelText(/Instead/)).toHaveProperty("value", "");
    fireEvent.change(screen.getByLabelText(/Instead/), { target: { value: "look-again" } });
    expect(screen.getByText("Means of look-again")).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Why"), { target: { value: "new pattern" } });
    fireEvent.click(screen.getByRole("button", { name: "Do this instead" }));
    await screen.findByRole("button", { name: "Take it and plan" });
    expect(calls[0]!.body).toEqual({
      proposed: "go-on",
      answer: "changed",
      instead: "look-again",
      reason: "new pattern",
    });
  });

  it("says first what is mistaken for the fault when it looks again", () => {
    open({ kind: kind("look-again", false) });
    expect(screen.getByText("Easily mistaken: Loading.")).toBeTruthy();
    expect(screen.getByText("Makes it worse: Freezing.")).toBeTruthy();
  });

  it("shows what was decided, to be decided again", () => {
    open({
      answer: {
        proposed: kind("go-on"),
        answer: "refused",
        reason: "going away",
        answeredAt: "2026-12-01T10:00:00Z",
      },
    });
    expect(screen.getByRole("status").textContent).toBe("Not done: label of go-on. – going away");
    expect(screen.getByRole("button", { name: "Decide again" })).toBeTruthy();
  });
});

const DRIFT = "pelvis-drift@top/clip";
const THREAD: Thread = {
  all: 2,
  series: [
    {
      id: DRIFT,
      label: "Pelvis travel, top (clip)",
      unit: "cm",
      tries: "swings",
      target: { high: 5 },
    },
  ],
  between: [],
  knots: ["2026-11-01", "2026-11-15"].map((heldOn, i) => ({
    lessonId: `l${i}`,
    heldOn,
    focus: ["sway"],
    before: {
      [DRIFT]: {
        value: 9 - 4 * i,
        low: 7,
        high: 11,
        of: 3,
        distance: { value: 4 - 4 * i, where: "outside" },
      },
    },
    after: {},
  })),
};

describe("the thread", () => {
  it("opens a lesson to its readings, with interval and distance to the target", () => {
    show(<ThreadPicture thread={THREAD} studentId="s1" />);
    fireEvent.click(screen.getByRole("button", { name: /Readings of .*1 Nov$/ }));
    const readings = screen.getByRole("heading", { name: /1 November/ }).closest("section")!;
    expect(readings.textContent).toContain("9 cm (7 to 11), 3 swings; 4 cm above target");
    expect(within(readings).queryByText(/Beside/)).toBeNull();
    fireEvent.keyDown(screen.getByRole("button", { name: /Readings of .*15/ }), { key: "Enter" });
    expect(screen.getByText(/Beside/).getAttribute("href")).toBe("/students/s1/compare?first=l0&second=l1");
    expect(screen.getByText("wanted: up to 5 cm")).toBeTruthy();
  });
});

const change = (label: string, verdict: string, concerns = false): Compare["changes"][number] => ({
  id: label,
  label,
  unit: "balls",
  tries: "balls",
  then: "6 of 10",
  now: "1 of 10",
  past: false,
  concerns,
  comparison: { difference: -0.5, low: -0.75, high: -0.08, verdict },
  said: `${label} said`,
});

describe("two lessons side by side", () => {
  const moment = (lessonId: string, slice: number): Compare["first"] => ({
    lessonId,
    heldOn: lessonId === "l0" ? "2026-11-01" : "2026-11-15",
    moment: "before",
    school: "early-return",
    focus: ["sway"],
    readings: [{ id: "trail-share", at: "top", value: 70 - slice, source: "seen", swings: 3 }],
    shots: { flight: { slice, straight: 10 - slice }, strike: {}, divot: {} },
  });
  const compared: Compare = {
    first: moment("l0", 6),
    second: moment("l1", 1),
    done: { plannedDays: 9, doneDays: 7, plannedReps: 600, doneReps: 480 },
    changes: [change("hook", "cannot-tell"), change("slice", "better", true)],
    notes: ["Two sources are not compared."],
  };

  it("says what can be told first and folds the rest away", async () => {
    serve({
      "GET /api/students/s1": { id: "s1", signedUp: true, profile: { name: "Ferris", handedness: "right" } },
      "GET /api/students/s1/thread?last=500": THREAD,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/students/s1/compare?first=l0&firstAt=before&second=l1&secondAt=before": compared,
    });
    show(<ComparePage />, { path: "/students/:id/compare", at: "/students/s1/compare" });
    expect(await screen.findByText("slice said")).toBeTruthy();
    expect(screen.getByText("hook said").closest("details")!.textContent).toContain("1 more, without");
    expect(screen.getByText(/7 of 9 days/)).toBeTruthy();
    expect(screen.getByRole("row", { name: /slice.*6 of 10.*1 of 10/ })).toBeTruthy();
    expect(
      screen.getAllByRole("img", { name: /Load: 31 % on the left|Load: 36 % on the left/ }),
    ).toHaveLength(2);
  });

  it.each([
    ["seen", /lay where it is wanted already/],
    ["plate", /Nothing was measured at both moments in the same way/],
  ])("says why nothing can be said, read %s the second time", async (source, why) => {
    const second = moment("l1", 1);
    serve({
      "GET /api/students/s1": { id: "s1", signedUp: true, profile: { name: "Ferris", handedness: "right" } },
      "GET /api/students/s1/thread?last=500": THREAD,
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/students/s1/compare?first=l0&firstAt=before&second=l1&secondAt=before": {
        ...compared,
        second: { ...second, readings: second.readings.map((r) => ({ ...r, source })) },
        changes: [],
      },
    });
    show(<ComparePage />, { path: "/students/:id/compare", at: "/students/s1/compare" });
    await screen.findByText(why);
  });
});

describe("how proposals went", () => {
  it("counts what was borne out with its small numbers", async () => {
    const record: Wire["ProposalRecordView"] = {
      answers: 7,
      lines: [
        {
          kind: kind("go-on"),
          proposed: 7,
          taken: 5,
          changed: 1,
          refused: 1,
          takenTold: 4,
          takenBorneOut: 3,
          otherTold: 0,
          otherBorneOut: 0,
        },
      ],
      recent: [
        {
          lessonId: "l1",
          heldOn: "2026-11-15",
          studentId: "s1",
          student: "Ferris Dunmore",
          outcome: "borne-out",
          answer: {
            proposed: kind("go-on"),
            answer: "taken",
            reason: "",
            answeredAt: "2026-11-15T10:00:00Z",
          },
        },
      ],
    };
    serve({ "GET /api/proposals": record });
    show(<ProposalsPage />);
    const row = (await screen.findAllByRole("row"))[1]!;
    expect(row.textContent).toBe("Label of go-on75113 of 4not told yet");
    expect(screen.getByText("borne out")).toBeTruthy();
  });
});

describe("words", () => {
  it("say differences of balls in per cent and others in their unit", () => {
    expect(differenceSaid(change("slice", "better"))).toBe("−50 (−75 to −8) %");
    const drift = { difference: 2, low: -0.32, high: 4.34, verdict: "cannot-tell" };
    expect(differenceSaid({ ...change("drift", ""), unit: "cm", comparison: drift })).toBe(
      "+2 (−0.3 to +4.3) cm",
    );
  });

  it("say how sure a distance to the target is", () => {
    expect(distanceSaid({ value: 0, where: "inside" }, "%")).toBe("on target");
    expect(distanceSaid({ value: -3, where: "across" }, "%")).toBe(
      "3 % below target, too uncertain to be sure",
    );
  });
});
