import { describe, expect, it } from "vitest";
import { strandLabel } from "./strandLabel";

describe("what stands over a strand", () => {
  const strand = { doneDays: 12, plannedDays: 14, doneReps: 1040, plannedReps: 1200 };

  it("is as much as there is room for, and never touches the next", () => {
    expect(strandLabel(strand, 400)).toBe("12 of 14 days, 1040 reps (87 %)");
    expect(strandLabel(strand, 180)).toBe("12 of 14 days (87 %)");
    expect(strandLabel(strand, 120)).toBe("12 of 14 days");
    expect(strandLabel(strand, 60)).toBe("12/14");
    expect(strandLabel(strand, 30)).toBe("");
    expect(strandLabel({ ...strand, plannedReps: 0 }, 400)).toBe("12 of 14 days, 1040 reps");
    for (let width = 0; width < 400; width += 7)
      expect(strandLabel(strand, width).length * 7.4).toBeLessThan(Math.max(1, width));
  });
});
