import type { Hand } from "@/api/types";
import { type Drawing, drawing } from "./lines";
import type { PointName } from "./points";
import { nearest, type Shown, TELLING } from "./shown";

const NOTHING: Drawing = { lines: [], dots: [], bands: [] };

/** What a picture of a film shows: itself, the lines that are measured in it, and what they tell at a moment. */
export function seenAt(shown: Shown, at: number, hand: Hand, moment?: string) {
  const points = shown.frames[at];
  const address = shown.moments.find((m) => m.id === "address");
  const first = address && shown.frames[nearest(shown.times, address.time)];
  const { measure } = TELLING[shown.view];
  const reading = moment ? shown.readings.find((r) => r.measure === measure && r.at === moment) : undefined;
  const half = (reading?.uncertainty ?? 0) * 2 * (shown.ruler.pixelsPerCentimetre ?? 0);
  const picture = shown.picture(at, moment);
  const lead = hand === "right" ? "left" : "right";
  const arms = (["shoulder", "elbow", "wrist"] as const).map((part): PointName => `${lead}-${part}`);
  const drawn = points ? drawing(shown.view, points, first ?? undefined, arms, half, !picture) : NOTHING;
  return { drawn, reading, picture };
}
