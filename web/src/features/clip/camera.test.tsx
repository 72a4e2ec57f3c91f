import { act, cleanup, fireEvent, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { CATALOGUE, serve, show } from "@/test/fixtures";
import { motionOf } from "@/test/motion";
import { FilmNow } from "./FilmNow";
import { held, saidOf } from "./level";

describe("how a camera is held", () => {
  it.each([
    [90, 0, 0, 0, 0],
    [90, 0, 180, 180, 0],
    // Upright on its long side, its top to the left.
    [0, -90, 90, 0, 0],
    [0, -80, 90, 0, -10],
    [80, 0, 0, 0, -10],
    [100, 0, 0, 0, 10],
  ])("turned %d and %d, the screen by %d, it leans %d and points %d", (beta, gamma, screen, lean, tilt) => {
    const now = held(beta, gamma, screen);
    expect(Math.abs(Math.abs(now.lean) - lean)).toBeLessThan(0.01);
    expect(now.tilt).toBeCloseTo(tilt);
  });

  it("is said with what to put right", () => {
    // Its top goes to the right: up lies to its left.
    const leaning = held(Math.asin(Math.cos(0.1)) * (180 / Math.PI), 90, 0);
    expect(leaning.lean).toBeCloseTo(0.1 * (180 / Math.PI));
    expect(saidOf(leaning)).toBe("The camera leans 6° to the right");
    expect(saidOf({ lean: -3, tilt: 8 })).toBe("The camera leans 3° to the left and points 8° up");
    expect(saidOf({ lean: 1, tilt: -3 })).toBe("Level");
  });
});

const tracks = [
  { stop: vi.fn(), getSettings: () => ({ frameRate: 30 }), onended: undefined as undefined | (() => void) },
];
const stream = { getTracks: () => tracks, getVideoTracks: () => tracks };

class Recorder {
  static isTypeSupported = (form: string) => form.includes("vp9");
  state = "inactive";
  mimeType: string;
  ondataavailable?: (e: { data: Blob }) => void;
  onstop?: (() => void) | null;
  constructor(_: unknown, options: { mimeType: string }) {
    this.mimeType = options.mimeType;
  }
  start() {
    this.state = "recording";
  }
  stop() {
    this.state = "inactive";
    this.ondataavailable?.({ data: new Blob(["film"]) });
    this.onstop?.();
  }
}

describe("a film from the page", () => {
  let getUserMedia: ReturnType<typeof vi.fn>;
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ["setInterval", "clearInterval"] });
    getUserMedia = vi.fn(async () => stream);
    vi.stubGlobal("MediaRecorder", Recorder);
    Object.defineProperty(navigator, "mediaDevices", { value: { getUserMedia }, configurable: true });
    tracks[0]!.stop.mockClear();
    serve({
      "GET /api/catalogue?hand=right": CATALOGUE,
      "GET /api/motions/swing?hand=right&school=centred": motionOf(0),
    });
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
    Reflect.deleteProperty(navigator, "mediaDevices");
  });
  const pass = (seconds: number) => act(() => vi.advanceTimersByTime(1000 * seconds));
  const open = async () => {
    const onFile = vi.fn();
    show(<FilmNow hand="right" onFile={onFile} />);
    fireEvent.click(screen.getByRole("button", { name: "Film now" }));
    await screen.findByRole("button", { name: "Film" });
    return onFile;
  };

  it("begins after a while, ends by itself, and lets the camera go", async () => {
    const onFile = await open();
    expect(await screen.findByText(/30 pictures a second, few for times/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Begin"), { target: { value: "5" } });
    fireEvent.click(screen.getByRole("button", { name: "Film" }));
    pass(2);
    expect(screen.getByRole("timer").textContent).toBe("3");
    pass(3);
    expect(screen.getByRole("timer").textContent).toBe("Filming, 10 s left");
    expect(onFile).not.toHaveBeenCalled();
    pass(10);
    const film = onFile.mock.calls[0]![0] as File;
    expect([film.name, film.type, film.size]).toEqual(["film.webm", "video/webm", 4]);
    expect(screen.queryByRole("dialog")).toBeNull();
    expect(tracks[0]!.stop).toHaveBeenCalled();
  });

  it("is thrown away with its sheet, and stopped when it is enough", async () => {
    const onFile = await open();
    await screen.findByText(/30 pictures a second, few for times/);
    fireEvent.click(screen.getByRole("button", { name: "Film" }));
    fireEvent.click(screen.getByRole("button", { name: "Close" }));
    pass(12);
    expect(onFile).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole("button", { name: "Film now" }));
    await screen.findByText(/30 pictures a second, few for times/);
    fireEvent.click(screen.getByRole("button", { name: "Film" }));
    fireEvent.click(screen.getByRole("button", { name: "Stop" }));
    expect(onFile).toHaveBeenCalledTimes(1);
  });

  it("goes without sound where only that is refused, and says why there is none at all", async () => {
    getUserMedia.mockImplementation(async (wanted: MediaStreamConstraints) => {
      if (wanted.audio) throw new DOMException("no", "NotAllowedError");
      return stream;
    });
    await open();
    expect(await screen.findByText(/30 pictures a second, few for times/)).toBeTruthy();
    cleanup();
    getUserMedia.mockRejectedValue(new DOMException("no", "NotFoundError"));
    await open();
    expect(await screen.findByText("There is no camera here.")).toBeTruthy();
    cleanup();
    getUserMedia.mockResolvedValue(stream);
    await open();
    await screen.findByText(/30 pictures a second, few for times/);
    act(() => tracks[0]!.onended!());
    expect(screen.getByText(/The camera is gone/)).toBeTruthy();
    expect((screen.getByRole("button", { name: "Film" }) as HTMLButtonElement).disabled).toBe(true);
  });
});
