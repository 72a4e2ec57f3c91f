import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import type { Thread } from "@/api/types";
import { DrillDiagram } from "./drill/DrillDiagram";
import { zoneLoads } from "./feet/footShape";
import { Soles } from "./feet/Soles";
import { bandOf, scaleFor, threadShape } from "./progress/threadShape";

describe("the pair of soles", () => {
  it("says lead and trail on the student's own sides", () => {
    expect(renderToStaticMarkup(<Soles hand="right" trailShare={70} />)).toContain("70 % on the right");
    expect(renderToStaticMarkup(<Soles hand="left" trailShare={70} />)).toContain("70 % on the left");
  });

  it("spreads a foot's load over its parts without losing any", () => {
    const loads = zoneLoads({ share: 60, toe: 30, outer: 80 });
    expect(Object.values(loads).reduce((a, b) => a + b, 0)).toBeCloseTo(0.6);
    expect(loads.heelOuter).toBeCloseTo(0.6 * 0.7 * 0.8);
  });
});

describe("a drill's diagram", () => {
  const diagram = {
    stance: "normal",
    props: [{ shape: "ball", at: "trail-outer" }],
    press: ["lead-heel"],
    move: "shift-lead",
  };

  it("mirrors for the left-hander", () => {
    const draw = (hand: "right" | "left") =>
      renderToStaticMarkup(<DrillDiagram diagram={diagram} hand={hand} title="x" />);
    const arrow = (svg: string) => /<path d="M(\d+) 282 H(\d+)"/.exec(svg)!.slice(1).map(Number);
    const [fromRight, toRight] = arrow(draw("right"));
    const [fromLeft, toLeft] = arrow(draw("left"));
    expect(fromRight! > toRight!).toBe(true);
    expect([300 - fromLeft!, 300 - toLeft!]).toEqual([fromRight, toRight]);
  });
});

describe("the thread", () => {
  const point = (value: number) => ({ value, low: value - 10, high: value + 10, of: 10 });
  const done = { plannedDays: 9, doneDays: 8, plannedReps: 700, doneReps: 450 };
  const thread: Thread = {
    series: [{ id: "s", label: "slice", unit: "%", tries: "balls", better: "lower" }],
    all: 2,
    between: [],
    knots: [
      {
        lessonId: "1",
        heldOn: "2026-11-01",
        focus: [],
        before: { s: point(60) },
        after: { s: point(40) },
        done,
      },
      {
        lessonId: "2",
        heldOn: "2026-11-15",
        focus: [],
        before: { s: point(5) },
        after: {},
        done: { ...done, doneReps: 0 },
      },
    ],
  };
  const box = { width: 1000, left: 0, right: 0, top: 0, bottom: 100 };
  const { knots, strands } = threadShape(thread, "s", "2026-11-29", box);

  it("stands lessons on the days they were held", () => {
    expect(knots.map((k) => k.x)).toEqual([0, 500]);
    expect(knots[1]!.after).toBeUndefined();
  });

  it("draws the strand as thick as what was practised, and none for none", () => {
    expect(strands.map((s) => s.width)).toEqual([9, 0]);
    expect(strands[1]!.to).toBe(1000);
  });

  it("keeps shares between 0 and 100", () => {
    expect(scaleFor(knots, thread.series[0])).toEqual({ low: 0, high: 70 });
    const wanted = { ...thread.series[0]!, unit: "cm", target: { high: 91 } };
    expect(scaleFor(knots, wanted)).toEqual({ low: -6, high: 92 });
  });

  it("bands the uncertainty of the first balls", () => {
    expect(bandOf(knots, (v) => 100 - v)).toBe("M0 30 L500 85 L500 105 L0 50 Z");
    expect(bandOf(knots.slice(0, 1), (v) => v)).toBe("");
  });
});
