import { describe, expect, it } from "vitest";
import { headingLine, rateOf, rowReader } from "./traceRows";

const COLUMNS = { time: 0, perSecond: 1000, unit: "newton", channels: { left: 1, right: 2 } };

describe("a file with loads", () => {
  it("begins after what stands before its table", () => {
    expect(headingLine([["Device 7"], ["Subject", "x"], ["ms", "left", "right"], ["0", "1", "2"]])).toBe(2);
    expect(
      headingLine([
        ["a", "b"],
        ["c", "d"],
      ]),
    ).toBe(-1);
    expect(headingLine([["1", "2"]])).toBe(-1);
  });

  it("tells its rate by its times, whatever is odd about one of them", () => {
    expect(rateOf([["0"], ["5"], ["10"], ["10"], ["40"], ["45"]], 0, 1000)).toBeCloseTo(200);
    expect(rateOf([["x"], ["y"]], 0, 1)).toBeUndefined();
  });

  it("is read row by row: numbered by time, lost values known, wrong ones named", () => {
    const read = rowReader(COLUMNS, ["left", "right"], 200);
    expect(read(["100", "400,5", "390"])).toEqual({ row: [0, 400.5, 390] });
    expect(read(["105", "", "390"])).toEqual({ row: [1, null, 390] });
    expect(read(["130", "1", "2"])).toEqual({ row: [6, 1, 2] });
    expect(read(["135", "off", "2"])).toEqual({ wrong: "says “off” for left" });
    expect(read(["", "1", "2"])).toEqual({ wrong: "has no time" });
  });

  it("is numbered by its rows where it has no times", () => {
    const read = rowReader({ ...COLUMNS, time: undefined }, ["right", "left"], 200);
    read(["0", "1", "2"]);
    expect(read(["0", "1", "2"])).toEqual({ row: [1, 2, 1] });
  });
});
