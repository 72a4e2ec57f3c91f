import { describe, expect, it } from "vitest";
import { readBall, sayBall } from "./ballText";

const METRES = { unit: "m", factor: 1 };
const YARDS = { unit: "yd", factor: 1 / 0.9144 };

describe("a ball as it is typed", () => {
  it.each([
    ["128", { carry: 128 }],
    ["128 4L", { carry: 128, offline: -4 }],
    ["128 4 r", { carry: 128, offline: 4 }],
    ["  128,5   0l", { carry: 128.5, offline: 0 }],
    ["6R", { offline: 6 }],
  ])("%s", (text, ball) => {
    expect(readBall(text, METRES, "right").ball).toEqual(ball);
  });

  it("lies to the side of the trail hand, whichever that is", () => {
    expect(readBall("100 4L", METRES, "left").ball).toEqual({ carry: 100, offline: 4 });
    expect(sayBall({ carry: 100, offline: 4 }, METRES, "left")).toBe("100 4L");
    expect(sayBall({ carry: 100, offline: 4 }, METRES, "right")).toBe("100 4R");
  });

  it("comes back as typed in the reader's own unit", () => {
    const { ball } = readBall("140 12R", YARDS, "right");
    expect(ball!.carry).toBeCloseTo(128.02, 2);
    expect(sayBall(ball!, YARDS, "right")).toBe("140 12R");
    expect(sayBall({ offline: 0 }, YARDS, "right")).toBe("on line");
  });

  it.each(["", "far", "128 4", "4L 3R", "128 4L 3R", "-5", "401", "120 201L", "1.234"])(
    "refuses %s",
    (text) => {
      const { ball, wrong } = readBall(text, METRES, "right");
      expect(ball).toBeUndefined();
      expect(wrong).toMatch(/\.$/);
    },
  );

  it("says its limits in the reader's unit", () => {
    expect(readBall("500", YARDS, "right").wrong).toBe("From 0 to 437.4 yd.");
  });
});
