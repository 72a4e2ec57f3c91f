import type { Wire } from "@/api/types";

export type Curve = Wire["CurveView"];
export type SwingMoment = Wire["SwingMomentView"];

/** The picture's own units; it is drawn as wide as there is room. */
export const BOX = { width: 640, height: 262, left: 34, right: 8, top: 14, bottom: 218 };

/** Where a time lies along the picture, from 0 to 1, and back. */
export type Axis = { at: (seconds: number) => number; seconds: (part: number) => number };

/** The way something was passed: pairs of a time and its place, both rising. */
function along(times: number[], places: number[]): Axis {
  const through = (from: number[], to: number[], value: number) => {
    const last = from.length - 1;
    let i = from.findIndex((f) => f >= value);
    i = i < 0 ? last : Math.max(1, i);
    const [f0, f1, t0, t1] = [from[i - 1]!, from[i]!, to[i - 1]!, to[i]!];
    return f1 === f0 ? t1 : t0 + ((value - f0) / (f1 - f0)) * (t1 - t0);
  };
  return {
    at: (seconds) => through(times, places, seconds),
    seconds: (part) => through(places, times, part),
  };
}

/** As time goes: the whole swing evenly. */
export function byTime(seconds: number): Axis {
  return along([0, seconds], [0, 1]);
}

/**
 * Every moment at a place of its own, so that swings of different pace lie over each other; between two of them time goes
 * evenly. A moment that this swing does not know takes no place.
 */
export function byMoment(moments: SwingMoment[], order: string[], seconds: number): Axis {
  const known = order
    .map((id, index) => ({
      place: (index + 1) / (order.length + 1),
      time: moments.find((m) => m.id === id)?.time,
    }))
    .filter((m): m is { place: number; time: number } => m.time !== undefined);
  return along([0, ...known.map((m) => m.time), seconds], [0, ...known.map((m) => m.place), 1]);
}

/** From the swing's own time to the other's: the same moments meet, and what lies between goes evenly. */
export function alignedTo(own: SwingMoment[], other: SwingMoment[]): (seconds: number) => number {
  const both = own
    .map((m) => ({ mine: m.time, theirs: other.find((o) => o.id === m.id)?.time }))
    .filter((m): m is { mine: number; theirs: number } => m.theirs !== undefined);
  const anchor = both.find((_, i) => own[i]?.id === "impact") ?? both[both.length - 1];
  const shift = anchor ? anchor.mine - anchor.theirs : 0;
  return (seconds) => seconds + shift;
}

export const x = (part: number) => BOX.left + part * (BOX.width - BOX.left - BOX.right);
export const y = (share: number) => BOX.bottom - (share / 100) * (BOX.bottom - BOX.top);

/** A line through the values, broken where nothing can be told. */
export function path(
  values: (number | null)[],
  step: number,
  axis: Axis,
  shifted: (seconds: number) => number = (s) => s,
): string {
  let pen = "M";
  return values
    .map((value, i) => {
      const part = axis.at(shifted(i * step));
      if (value === null || part < 0 || part > 1) {
        pen = "M";
        return "";
      }
      const point = `${pen}${x(part).toFixed(1)} ${y(value).toFixed(1)}`;
      pen = "L";
      return point;
    })
    .join("");
}

/** The value at a time, between two points evenly; null where nothing can be told. */
export function valueAt(values: (number | null)[] | undefined, step: number, seconds: number): number | null {
  if (!values) return null;
  const place = Math.max(0, Math.min(values.length - 1, seconds / step));
  const low = values[Math.floor(place)] ?? null;
  const high = values[Math.ceil(place)] ?? null;
  if (low === null || high === null) return low ?? high;
  return low + (place - Math.floor(place)) * (high - low);
}

/** Where both feet together press, over the soles' picture: across from the left foot to the right, and up to the toes. */
export function pressesAt(
  share: number,
  halves: { leadFront: number; leadOuter: number; trailFront: number; trailOuter: number },
  leadIsLeft: boolean,
): { across: number; up: number } {
  const trail = share / 100;
  const lead = 1 - trail;
  const up = (lead * halves.leadFront + trail * halves.trailFront) / 100;
  // A foot is 76 wide in a picture of 300; its outer half lies away from the other foot.
  const foot = (outer: number, left: boolean) =>
    left ? 80 + 38 - 76 * (0.25 + outer / 200) : 220 - 38 + 76 * (0.25 + outer / 200);
  const leadX = foot(halves.leadOuter, leadIsLeft);
  const trailX = foot(halves.trailOuter, !leadIsLeft);
  return { across: lead * leadX + trail * trailX, up };
}
