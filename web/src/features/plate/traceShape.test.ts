import { describe, expect, it } from "vitest";
import { alignedTo, byMoment, byTime, path, pressesAt, valueAt } from "./traceShape";

const moment = (id: string, time: number) => ({ id, time, from: "found", uncertainty: 30 });
const ORDER = ["address", "top", "impact"];

describe("a swing's way along the picture", () => {
  it("goes evenly with time, and back", () => {
    const axis = byTime(4);
    expect(axis.at(1)).toBeCloseTo(0.25);
    expect(axis.seconds(0.25)).toBeCloseTo(1);
  });

  it("brings the same moments of two swings to the same place", () => {
    const quick = byMoment([moment("address", 0.5), moment("top", 1.2), moment("impact", 1.4)], ORDER, 3);
    const slow = byMoment([moment("address", 0.8), moment("top", 2), moment("impact", 2.3)], ORDER, 4);
    expect(quick.at(1.2)).toBeCloseTo(slow.at(2));
    expect(quick.at(1.4)).toBeCloseTo(slow.at(2.3));
    expect(quick.seconds(quick.at(1.31))).toBeCloseTo(1.31);
  });

  it("gives a moment that is not known no place of its own", () => {
    const axis = byMoment([moment("address", 1), moment("impact", 2)], ORDER, 3);
    expect(axis.at(2)).toBeCloseTo(0.75);
    expect(axis.at(1.5)).toBeCloseTo(0.5);
  });

  it("lays another swing so that both strike together", () => {
    const shifted = alignedTo(
      [moment("address", 1), moment("impact", 2)],
      [moment("address", 0.5), moment("impact", 1.4)],
    );
    expect(shifted(1.4)).toBeCloseTo(2);
  });
});

describe("its line", () => {
  it("is broken where nothing can be told", () => {
    expect(path([50, null, 50, 50], 1, byTime(3)).match(/M/g)).toHaveLength(2);
    expect(path([50, 50, 50, 50], 1, byTime(3)).match(/M/g)).toHaveLength(1);
  });

  it("has a value between two points", () => {
    expect(valueAt([40, 60], 0.1, 0.05)).toBeCloseTo(50);
    expect(valueAt([40, null], 0.1, 0.05)).toBe(40);
    expect(valueAt(undefined, 0.1, 0)).toBeNull();
  });
});

describe("where both feet press", () => {
  const even = { leadFront: 50, leadOuter: 50, trailFront: 50, trailOuter: 50 };
  it("is between the feet, and goes to the one that bears more", () => {
    expect(pressesAt(50, even, true).across).toBeCloseTo(150);
    expect(pressesAt(80, even, true).across).toBeGreaterThan(180);
    expect(pressesAt(80, even, false).across).toBeLessThan(120);
  });
  it("goes forward with the toes and outward with the outer edges", () => {
    expect(pressesAt(50, { ...even, leadFront: 90, trailFront: 90 }, true).up).toBeCloseTo(0.9);
    expect(pressesAt(0, { ...even, leadOuter: 90 }, true).across).toBeLessThan(
      pressesAt(0, even, true).across,
    );
  });
});
