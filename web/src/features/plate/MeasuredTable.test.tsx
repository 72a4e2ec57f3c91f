import { cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Wire } from "@/api/types";
import { CATALOGUE, LESSON, show } from "@/test/fixtures";
import { MeasuredTable } from "./MeasuredTable";

const swing = (number: number, share: number): Wire["SwingView"] => ({
  id: `w${number}`,
  number,
  stage: "before",
  state: "kept",
  heardAt: "2026-12-01T09:00:00Z",
  device: "Bay 2",
  rate: 200,
  seconds: 3,
  moments: [],
  readings: [{ measure: "trail-share", at: "top", value: share, uncertainty: 1.2 }],
  warnings: [],
  spark: [],
});

const five = [62, 64, 66, 68, 70].map((share, i) => swing(i + 1, share));
const joint = { stage: "before", measure: "trail-share", at: "top", mean: 66, swings: 5, uncertainty: 1.2 };

function table(part: Partial<Wire["SwingsView"]>, diagnosis = LESSON.diagnosis) {
  const onOwnSpread = vi.fn();
  show(
    <MeasuredTable
      view={{
        swings: five,
        files: [],
        measured: [],
        ownSpread: false,
        readingFrom: 3,
        spreadFrom: 5,
        ...part,
      }}
      stage="before"
      chosen={five[4]!}
      last={five[3]}
      catalogue={CATALOGUE}
      diagnosis={diagnosis}
      onOwnSpread={onOwnSpread}
    />,
    { path: "/", at: "/" },
  );
  return onOwnSpread;
}

afterEach(cleanup);

describe("what kept swings say", () => {
  it("is the swing, its change from the last kept one, and the mean", () => {
    table({ measured: [{ ...joint, assumed: 2.5 }] });
    expect(screen.getByRole("row", { name: /^Top/ }).textContent).toBe("Top70+266");
    expect(screen.getByTitle("Mean of 5 kept swings").textContent).toBe("66");
    expect(screen.queryByRole("checkbox")).toBeNull();
  });

  it("offers the swings' own spread, never smaller than what their measuring is good for", () => {
    const onOwnSpread = table({ measured: [{ ...joint, assumed: 2.5, own: 0.4 }] });
    const box = screen.getByRole("checkbox", { name: /own spread/ });
    expect(box.closest("label")!.textContent).toContain("1.2, assumed 2.5");
    fireEvent.click(box);
    expect(onOwnSpread).toHaveBeenCalledWith(true);
  });

  it("makes what a fault in question is judged by stand out", () => {
    const sway = LESSON.diagnosis.faults[0]!;
    const judged = {
      ...LESSON.diagnosis,
      faults: [{ ...sway, for: [{ evidence: "trail-share@top>60", weight: 1, text: "" }] }],
    };
    table({}, judged);
    expect(screen.getByText("70").className).toContain("bg-tint");
    cleanup();
    table({}, { ...judged, faults: judged.faults.map((f) => ({ ...f, grade: "unlikely" })) });
    expect(screen.getByText("70").className).not.toContain("bg-tint");
  });
});
