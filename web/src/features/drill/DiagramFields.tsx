import { DrillDiagram } from "./DrillDiagram";
import { pictured } from "./drillForm";
import type { DrillSource } from "@/api/types";
import { type Change, Checks, type Option, Pick } from "./fields";

const FEET = ["trail", "lead"].flatMap((foot) =>
  ["toe", "heel", "inner", "outer", "sole"].map((part) => ({
    id: `${foot}-${part}`,
    label: `${foot} ${part === "inner" || part === "outer" ? `${part} edge` : part}`,
  })),
);
const SHAPES = named(["ball", "rod", "disc", "half-ball", "wedge", "stick"]);
const STANCES = named(["normal", "together", "staggered"]);
const MOVES = named([
  "none",
  "turn-trail-foot",
  "turn-body",
  "roll-in",
  "step-lead",
  "step-trail",
  "shift-lead",
  "shift-trail",
  "lift-trail-heel",
  "rock",
]);

function named(ids: string[]): Option[] {
  return ids.map((id) => ({ id, label: id.replaceAll("-", " ") }));
}

/** The picture, built from choices. */
export function DiagramFields({ drill, change }: { drill: DrillSource; change: Change }) {
  const diagram = drill.diagram ?? {};
  const set = (part: Partial<NonNullable<DrillSource["diagram"]>>) =>
    change({ diagram: { ...diagram, ...part } });
  const props = diagram.props ?? {};
  const first = Object.keys(props)[0];
  // A drill may hold more props than the form shows: the others stay.
  const prop = (at: string, shape: string) => {
    const others = Object.fromEntries(
      Object.entries(props).filter(([zone]) => zone !== first && zone !== at),
    );
    set({ props: shape ? { [at]: shape, ...others } : others });
  };
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-serif text-lg font-semibold">Picture</legend>
      <div className="max-w-56">
        <DrillDiagram diagram={pictured(drill)} hand="right" title={drill.name || "this drill"} />
      </div>
      <div className="flex flex-wrap gap-3">
        <Pick
          label="Stance"
          value={diagram.stance ?? "normal"}
          options={STANCES}
          onPick={(stance) => set({ stance })}
        />
        <Pick
          label="Movement"
          value={diagram.move ?? "none"}
          options={MOVES}
          onPick={(move) => set({ move })}
        />
        <Pick
          label="Prop"
          value={first ? (props[first] ?? "") : ""}
          options={[{ id: "", label: "none" }, ...SHAPES]}
          onPick={(shape) => prop(first ?? "trail-sole", shape)}
        />
        {first && (
          <Pick
            label="Lies at"
            value={first}
            options={FEET}
            onPick={(at) => prop(at, props[first] ?? "ball")}
          />
        )}
      </div>
      <Checks
        label="Pressed"
        options={FEET}
        chosen={diagram.press ?? []}
        onChange={(press) => set({ press })}
      />
      <p className="text-soft text-sm">Drawn for a right-handed student, mirrored for a left-handed one.</p>
    </fieldset>
  );
}
