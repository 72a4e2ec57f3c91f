import type { Catalogue, DrillSource } from "@/api/types";

export const NEW_DRILL: DrillSource = {
  id: "",
  name: "",
  rungs: ["feel"],
  places: ["home"],
  feedback: ["feel"],
  pace: "BODY",
  setUp: "",
  do: "",
  feel: "",
  good: "",
  mistake: "",
  easier: "",
  harder: "",
  cue: "",
  variations: [""],
  diagram: { press: [] },
};

/** An id of small letters and hyphens, free in this library. */
export function idFor(name: string, catalogue: Catalogue): string {
  const plain =
    name
      .toLowerCase()
      .normalize("NFD")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^[^a-z]+|-+$/g, "") || "own-drill";
  let id = plain;
  for (let n = 2; id in catalogue.drills; n++) id = `${plain}-${n}`;
  return id;
}

/** The rungs from the lowest to the highest, in order. */
export function covered(source: DrillSource, catalogue: Catalogue): string[] {
  const order = catalogue.rungs.map((r) => r.id);
  const [low, high = low] = source.rungs;
  return order.slice(order.indexOf(low ?? ""), order.indexOf(high ?? "") + 1);
}

/** What was said of these rungs; nothing where nothing is left. */
function only<T>(of: Record<string, T> | undefined, rungs: string[]): Record<string, T> | undefined {
  const kept = Object.entries(of ?? {}).filter(([rung]) => rungs.includes(rung));
  return kept.length > 0 ? Object.fromEntries(kept) : undefined;
}

/** With other rungs; what was written for a rung that stays is kept. */
export function withRungs(source: DrillSource, low: string, high: string, catalogue: Catalogue): DrillSource {
  const order = catalogue.rungs.map((r) => r.id);
  const top = order.indexOf(high) < order.indexOf(low) ? low : high;
  const before = covered(source, catalogue);
  const next = { ...source, rungs: low === top ? [low] : [low, top] };
  const rungs = covered(next, catalogue);
  return {
    ...next,
    variations: rungs.map((rung) => source.variations[before.indexOf(rung)] ?? ""),
    halfSteps: only(source.halfSteps, rungs),
    speeds: only(source.speeds, rungs),
  };
}

/** The diagram as the picture takes it. */
export function pictured(source: DrillSource) {
  const { stance = "normal", props = {}, press = [], move = "none" } = source.diagram ?? {};
  return { stance, props: Object.entries(props).map(([at, shape]) => ({ at, shape })), press, move };
}

/** What the server says of a file's one drill, by field. */
export function problemsByField(fields: { field: string; message: string }[]): Record<string, string> {
  return Object.fromEntries(fields.map((f) => [f.field.replace(/^\[0\]\.?/, ""), f.message]));
}
