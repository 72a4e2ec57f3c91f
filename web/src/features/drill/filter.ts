import type { Catalogue, Drill } from "@/api/types";

/** What the library is narrowed down by; an empty value narrows nothing. */
export type DrillFilter = {
  text: string;
  fault: string;
  rung: string;
  place: string;
  feedback: string;
  kit: string;
};

export const NO_FILTER: DrillFilter = { text: "", fault: "", rung: "", place: "", feedback: "", kit: "" };

/** Kit that is not needed at all. */
export const NO_KIT = "none";

/** The drills that fit, those that work directly on the fault first. */
export function filtered(catalogue: Catalogue, filter: DrillFilter): Drill[] {
  const words = filter.text.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (drill: Drill) => {
    const said = [
      drill.name,
      drill.setUp,
      drill.action,
      drill.feel,
      drill.cue,
      ...Object.values(drill.variations),
    ]
      .join(" ")
      .toLowerCase();
    return (
      words.every((w) => said.includes(w)) &&
      (!filter.fault || drill.main.includes(filter.fault) || drill.helps.includes(filter.fault)) &&
      (!filter.rung || filter.rung in drill.variations) &&
      (!filter.place || drill.places.includes(filter.place)) &&
      (!filter.feedback || drill.feedback.includes(filter.feedback)) &&
      (!filter.kit || (filter.kit === NO_KIT ? drill.kit.length === 0 : drill.kit.includes(filter.kit)))
    );
  };
  const found = Object.values(catalogue.drills).filter(fits);
  if (!filter.fault) return found;
  return [
    ...found.filter((d) => d.main.includes(filter.fault)),
    ...found.filter((d) => !d.main.includes(filter.fault)),
  ];
}
