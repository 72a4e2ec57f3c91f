import { describe, expect, it } from "vitest";
import { inDigits, readNumber } from "./number";

const TENTHS = { lowest: -60, highest: 60, decimals: 1, unit: "cm" };

describe("a number as people write it", () => {
  it.each([
    ["12", 12],
    [" 12.5 ", 12.5],
    ["12,5", 12.5],
    [",5", 0.5],
    ["-3", -3],
    ["\u22123", -3],
    ["-0", 0],
    ["", null],
    ["   ", null],
  ])("reads %j", (text, number) => {
    expect(readNumber(text, TENTHS)).toEqual({ number });
  });

  it.each(["0x20", "1e1", "1,234.5", "1.2.3", "twelve", "-", "Infinity", "1 2"])("refuses %j", (text) => {
    expect(readNumber(text, TENTHS)).toEqual({ wrong: "That is no number." });
  });

  it("says what would fit", () => {
    expect(readNumber("61", TENTHS).wrong).toBe("From −60 to 60 cm.");
    expect(readNumber("1.25", TENTHS).wrong).toBe("At most 1 decimals.");
    expect(readNumber("1.5", { lowest: 1, highest: 200 }).wrong).toBe("A whole number.");
  });

  it("is shown with few decimals and a true minus sign", () => {
    expect([inDigits(-1 / 3), inDigits(70.123456, 2), inDigits(5)]).toEqual(["−0.3", "70.12", "5"]);
  });
});
