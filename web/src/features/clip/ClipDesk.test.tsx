import { cleanup, fireEvent, screen, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Catalogue } from "@/api/types";
import { CATALOGUE, LESSON, show } from "@/test/fixtures";
import { ClipDesk } from "./ClipDesk";
import type { Marks } from "./ClipSettings";
import type { Shown } from "./shown";
import { ClipReadings } from "./ClipReadings";
import { POINTS, type Points } from "./points";

afterEach(cleanup);

const measure = (id: string, label: string, unit: string) => ({ ...CATALOGUE.measures[0]!, id, label, unit });
const catalogue: Catalogue = {
  ...CATALOGUE,
  checkpoints: [
    { id: "address", label: "Address", brief: "Address" },
    { id: "arm-back", label: "Left arm level, going back", brief: "Arm back" },
    { id: "top", label: "Top", brief: "Top" },
    { id: "impact", label: "Impact", brief: "Impact" },
  ],
  measures: [
    measure("pelvis-drift", "Pelvis travel away from the target", "cm"),
    measure("tempo-ratio", "Backswing to downswing", ""),
  ],
};

const TIMES = Array.from({ length: 60 }, (_, i) => i / 30);
const golfer = (shift: number): Points => POINTS.map((_, k) => [100 + shift + 3 * k, 40 + 15 * k, 0.9]);

const moment = (id: string, time: number, from = "found") => ({ id, time, from, uncertainty: 9 });
const reading = (measure: string, at: string | undefined, value: number, uncertainty: number) => ({
  measure,
  at,
  value,
  uncertainty,
});

const shown: Shown = {
  name: "swing.mp4",
  view: "face-on",
  width: 360,
  height: 480,
  times: TIMES,
  frames: TIMES.map((t) => golfer(-20 * t)),
  moments: [moment("address", 0.2), moment("top", 1.2), moment("impact", 1.5, "corrected")],
  warnings: [{ code: "no-scale", text: "Without a scale there are no lengths." }],
  readings: [
    reading("pelvis-drift", "top", 8.6, 0.5),
    reading("pelvis-drift", "impact", -0.3, 0.6),
    reading("tempo-ratio", undefined, 3.24, 0.2),
  ],
  ruler: { from: "height", pixelsPerCentimetre: 2, uncertainty: 0.03 },
  picture: () => undefined,
};

function desk(marks?: Marks) {
  const on = { onMoment: vi.fn(), onTall: vi.fn(), onMarks: vi.fn() };
  show(<ClipDesk shown={shown} hand="right" catalogue={catalogue} setting={{ tall: 178, marks, ...on }} />, {
    path: "/",
    at: "/",
  });
  return on;
}

describe("the clip desk", () => {
  it("begins at the top, says what is seen, and leaves open what was not found", () => {
    desk();
    expect(screen.getByRole("img", { name: /1\.20 s, pelvis 9 cm from its place/ })).toBeTruthy();
    const strip = within(screen.getByRole("list", { name: "Moments of the swing" }));
    expect(strip.getByRole("button", { name: /^Arm back/ }).textContent).toContain("not found");
    expect(screen.getByText("Without a scale there are no lengths.")).toBeTruthy();
    fireEvent.click(strip.getByRole("button", { name: /^Address/ }));
    expect(screen.getByRole("img", { name: /0\.20 s/ })).toBeTruthy();
  });

  it("sets a moment where the film stands, and gives one back", () => {
    const on = desk();
    const here = screen.getByRole("button", { name: "Top is here" });
    expect((here as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByRole("slider"), { target: { value: "33" } });
    fireEvent.click(here);
    expect(on.onMoment).toHaveBeenCalledWith("top", TIMES[33]);
    fireEvent.click(screen.getByRole("button", { name: /^Impact/ }));
    fireEvent.click(screen.getByRole("button", { name: "As it was found" }));
    expect(on.onMoment).toHaveBeenLastCalledWith("impact", null);
  });

  it("takes the scale from two marks on a club", () => {
    const on = desk();
    fireEvent.click(screen.getByRole("button", { name: "Set two marks" }));
    const picture = screen.getByRole("img", { name: /swing\.mp4/ });
    picture.getBoundingClientRect = () => ({ left: 0, top: 0, width: 180, height: 240 }) as DOMRect;
    fireEvent(picture, new MouseEvent("pointerdown", { clientX: 10, clientY: 200, bubbles: true }));
    fireEvent(picture, new MouseEvent("pointerdown", { clientX: 110, clientY: 200, bubbles: true }));
    expect(on.onMarks).toHaveBeenCalledWith({ from: [20, 400], to: [220, 400], centimetres: 94 });
  });

  it("takes the marks for a ball's, and goes back to the height without them", () => {
    const on = desk({ from: [20, 400], to: [220, 400], centimetres: 94 });
    fireEvent.click(screen.getByRole("button", { name: "It is a ball" }));
    expect(on.onMarks).toHaveBeenCalledWith({ from: [20, 400], to: [220, 400], centimetres: 4.27 });
    fireEvent.click(screen.getByRole("button", { name: "Without marks" }));
    expect(on.onMarks).toHaveBeenCalledWith(undefined);
  });
});

describe("what a film says", () => {
  it("stands moment by moment with what it may be off by, and the change against another", () => {
    show(
      <ClipReadings
        readings={shown.readings}
        against={[reading("pelvis-drift", "top", 3.1, 0.5), reading("tempo-ratio", undefined, 3.22, 0.2)]}
        catalogue={catalogue}
        diagnosis={LESSON.diagnosis}
      />,
      { path: "/", at: "/" },
    );
    const row = screen.getByRole("row", { name: /Pelvis travel/ });
    expect(row.textContent).toContain("9 ± 1");
    expect(row.textContent).toContain("+6");
    expect(row.textContent).toContain("0 ± 1");
    expect(row.textContent).not.toContain("-0");
    expect(screen.getByText("3.2")).toBeTruthy();
    expect(screen.getByText("0.0")).toBeTruthy();
  });
});
