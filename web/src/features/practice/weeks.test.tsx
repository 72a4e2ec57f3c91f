import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import { CATALOGUE } from "@/test/fixtures";
import { toldIn } from "./toldIn";
import { daysOf, type Session, weeksOf } from "./weeks";
import { Weeks } from "./Weeks";

afterEach(cleanup);

type Block = Session["blocks"][number];

const done = (part: Partial<Block>): Block => ({
  block: 0,
  fault: "sway",
  drill: "disc-turn",
  rung: "feel",
  kind: "main",
  marks: "++-+o",
  noticed: [],
  form: "none",
  told: {},
  ...part,
});

const session = (day: string, blocks: Block[], part: Partial<Session> = {}): Session => ({
  id: day,
  day,
  blocks,
  feel: 4,
  balls: { flight: {}, strike: {}, divot: {} },
  note: "",
  finished: true,
  edition: 1,
  earlierPlan: false,
  ...part,
});

const check = done({ block: 1, kind: "check", marks: "++++++++--" });
const SESSIONS = [
  session("2026-12-08", [done({}), check], { pain: { where: "back", score: 4, drill: "disc-turn" } }),
  session("2026-12-02", [done({})]),
];
const PLANNED = [
  { date: "2026-12-08", reps: 20 },
  { date: "2026-12-03", reps: 20 },
  { date: "2026-12-02", reps: 20 },
];

describe("weeks of practice", () => {
  it("add up what was done, checked and hurt", () => {
    const weeks = weeksOf(daysOf(SESSIONS, PLANNED, "2026-12-09", true, true));
    expect(weeks.map((w) => w.monday)).toEqual(["2026-12-07", "2026-11-30"]);
    expect(weeks[0]).toMatchObject({ done: 1, planned: 1, good: 11, judged: 14, checks: [8], pain: 4 });
    expect(weeks[1]).toMatchObject({ done: 1, planned: 2, checks: [], pain: 0 });
    expect(weeks[1]!.days.map((d) => d.date)).toEqual(["2026-12-03", "2026-12-02"]);
  });

  it("count no try as work, and say how it went", () => {
    const range = session("2026-12-10", [
      done({ noticed: ["inner"] }),
      done({ block: 1, rung: "short", kind: "try", marks: "+++--o", noticed: ["outer"] }),
    ]);
    const [week] = weeksOf(daysOf([range], PLANNED, "2026-12-10", true, true));
    expect(week).toMatchObject({ good: 3, judged: 4 });
    expect(toldIn(range, CATALOGUE)).toContain("Tried short ball: 3 good of 5");
    expect(toldIn(range, CATALOGUE).join()).not.toMatch(/of 2/);
  });

  it("stand as rows that open, what hurts and what was let pass among them", () => {
    render(
      <Weeks weeks={weeksOf(daysOf(SESSIONS, PLANNED, "2026-12-09", true, true))} catalogue={CATALOGUE} />,
    );
    expect(screen.getByText("pain 4")).toBeTruthy();
    expect(screen.getByText(/1 of 2 days/)).toBeTruthy();
    expect(screen.getByText(/not practised; 20 reps were planned/)).toBeTruthy();
    expect(screen.getByLabelText(/check 8/)).toBeTruthy();
  });

  it("say what was told beside the marks", () => {
    const told = toldIn(
      session("2026-12-08", [
        done({ drill: "edge-notice", noticed: ["inner", "outer", "inner"] }),
        done({
          block: 1,
          told: {
            club: "wedge",
            balls: [{ flight: "slice", strike: "fat" }, { strike: "solid" }, { strike: "solid" }],
            turns: [
              { at: 3, kind: "easier" },
              { at: 9, kind: "easier" },
            ],
          },
        }),
        done({ block: 5, aside: "first-ten", marks: "++++++----" }),
      ]),
      CATALOGUE,
    );
    expect(told).toEqual([
      "Edge noticing: inner edge ✓ 2 of 3, outer edge 1 of 3",
      "Disc turn: made easier 2 times",
      "First ten after days without practice: 6 of 10",
      "Wedge, 3 balls: solid 2, slice 1, fat 1",
    ]);
  });
});
