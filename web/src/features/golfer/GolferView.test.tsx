import { act, cleanup, fireEvent, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { CATALOGUE, serve, show } from "@/test/fixtures";
import { motionOf } from "@/test/motion";
import { DrillGolfer } from "./DrillGolfer";
import { GolferView } from "./GolferView";

const DRILL = { ...CATALOGUE.drills["disc-turn"]!, moving: true, mistaken: true };

/** Whether the machine asks for no motion. */
function still(wanted: boolean) {
  vi.stubGlobal("matchMedia", () => ({ matches: wanted, addEventListener() {}, removeEventListener() {} }));
}

const view = () =>
  show(<GolferView motion={motionOf(100)} hand="right" said="A turn." />, { path: "/", at: "/" });
const time = () => Number((screen.getByLabelText("Time in the movement") as HTMLInputElement).value);
const picture = () => screen.getAllByRole("img").find((i) => i.getAttribute("tabindex") === "0")!;

describe("a golfer to be watched", () => {
  beforeEach(() => still(true));
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it("stands at what shows most, and lays its poses side by side, where motion is not wanted", () => {
    view();
    expect(time()).toBe(1);
    expect(screen.getByRole("button", { name: "Play" })).toBeTruthy();
    expect(document.querySelectorAll(".pose-strip li").length).toBeGreaterThanOrEqual(3);
    expect(picture().getAttribute("aria-label")).toBe("A turn. Top, seen face on.");
  });

  it("is stepped by keys from moment to moment, and frame by frame", () => {
    view();
    const keys = (...all: string[]) => all.forEach((key) => fireEvent.keyDown(picture(), { key }));
    keys("ArrowRight");
    expect(time()).toBeCloseTo(1.8);
    keys("ArrowLeft", "ArrowLeft");
    expect(time()).toBe(0);
    keys(".");
    expect(time()).toBeCloseTo(0.03);
    keys("End");
    expect(time()).toBe(2);
    keys("Home", " ");
    expect(screen.getByRole("button", { name: "Pause" })).toBeTruthy();
  });

  it("runs by itself where motion is welcome, again and again", async () => {
    still(false);
    vi.useFakeTimers({ toFake: ["requestAnimationFrame", "cancelAnimationFrame", "performance"] });
    try {
      view();
      act(() => void vi.advanceTimersByTime(1000));
      expect(time()).toBeCloseTo(0.5, 1);
      act(() => void vi.advanceTimersByTime(3200));
      expect(time()).toBeLessThan(0.5);
    } finally {
      vi.useRealTimers();
    }
  });

  it("is seen from other sides, and turned by hand", () => {
    view();
    fireEvent.click(screen.getByRole("button", { name: "Down the line" }));
    expect(picture().getAttribute("aria-label")).toContain("seen down the line");
    picture().setPointerCapture = () => undefined;
    fireEvent.pointerDown(picture(), { clientX: 10, clientY: 10, pointerId: 1 });
    fireEvent.pointerMove(picture(), { clientX: 60, clientY: 20, pointerId: 1 });
    fireEvent.pointerUp(picture(), { pointerId: 1 });
    expect(picture().getAttribute("aria-label")).toContain("seen from aside");
  });

  it("goes near to the feet, and stays there from every side; at once where that is asked", () => {
    view();
    const near = screen.getByRole("button", { name: "The feet alone" });
    const whole = picture().querySelector("svg")!.innerHTML;
    fireEvent.click(near);
    expect(near.getAttribute("aria-pressed")).toBe("true");
    expect(picture().querySelector("svg")!.innerHTML).not.toBe(whole);
    fireEvent.click(screen.getByRole("button", { name: "From above" }));
    expect(picture().getAttribute("aria-label")).toContain("seen from above, the feet alone.");
    cleanup();
    show(<GolferView feet motion={motionOf(100)} hand="right" said="A turn." />);
    expect(picture().getAttribute("aria-label")).toContain("the feet alone");
  });

  it("shows a drill on each rung, and its usual mistake with the right one behind it", async () => {
    const asked = serve({
      "GET /api/motions/drills/disc-turn?rung=feel&hand=right&mistake=false": motionOf(0),
      "GET /api/motions/drills/disc-turn?rung=short&hand=right&mistake=false": motionOf(0, { seconds: 1 }),
      "GET /api/motions/drills/disc-turn?rung=short&hand=right&mistake=true": motionOf(90, { seconds: 1 }),
    });
    show(<DrillGolfer drill={DRILL} catalogue={CATALOGUE} hand="right" />, { path: "/", at: "/" });
    await screen.findByLabelText("Time in the movement");
    fireEvent.click(screen.getByRole("radio", { name: "Short ball" }));
    fireEvent.click(await screen.findByRole("radio", { name: "The usual mistake" }));
    await screen.findByText(/It slid/);
    await waitFor(() => expect(document.querySelectorAll("circle").length).toBeGreaterThan(0));
    expect(document.querySelectorAll("g[opacity='0.35']").length).toBe(1);
    expect(asked).toBeTruthy();
  });
});
