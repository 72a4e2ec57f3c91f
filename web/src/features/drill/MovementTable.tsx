import { useState } from "react";
import type { Catalogue, MovementSource } from "@/api/types";
import { Pick } from "./fields";

type Values = NonNullable<MovementSource["set"]>[string];

/** What may be otherwise at a moment, within what a body does: percent, cm and degrees. */
const ROWS: { id: string; label: string; least: number; most: number }[] = [
  { id: "trail-share", label: "Load under the trail foot, %", least: 0, most: 100 },
  { id: "trail-front", label: "Trail foot, front half, %", least: 3, most: 97 },
  { id: "trail-outer", label: "Trail foot, outer half, %", least: 3, most: 97 },
  { id: "lead-front", label: "Lead foot, front half, %", least: 3, most: 97 },
  { id: "lead-outer", label: "Lead foot, outer half, %", least: 3, most: 97 },
  { id: "trail-flare", label: "Trail foot turned out, °", least: -90, most: 70 },
  { id: "lead-flare", label: "Lead foot turned out, °", least: -90, most: 70 },
  { id: "trail-heel", label: "Trail heel up, cm", least: 0, most: 20 },
  { id: "lead-heel", label: "Lead heel up, cm", least: 0, most: 12 },
  { id: "trail-lift", label: "Trail foot in the air, cm", least: 0, most: 40 },
  { id: "lead-lift", label: "Lead foot in the air, cm", least: 0, most: 40 },
  { id: "pelvis-side", label: "Pelvis away from the target, cm", least: -60, most: 60 },
];
const MOMENTS = ["address", "arm-back", "top", "arm-down", "impact", "finish"];

/** What is so for the whole movement is so at every moment. */
const at = (values: Values | undefined, moment: string) =>
  typeof values === "number" ? values : values?.[moment];

/** How the feet stand and are loaded, moment by moment; what is left empty is as the swing has it. */
export function MovementTable({
  set,
  catalogue,
  onSet,
}: {
  set: MovementSource["set"];
  catalogue: Catalogue;
  onSet: (set: MovementSource["set"]) => void;
}) {
  const moments = catalogue.checkpoints.filter((c) => MOMENTS.includes(c.id));
  const [moment, setMoment] = useState("top");
  const elsewhere = (id: string) =>
    moments
      .filter((m) => m.id !== moment && at(set?.[id], m.id) !== undefined)
      .map((m) => `${m.brief} ${at(set![id], m.id)}`)
      .join(" · ");
  const put = (id: string, value: number | undefined) => {
    const { [id]: was, ...others } = set ?? {};
    const all =
      typeof was === "number" ? Object.fromEntries(catalogue.checkpoints.map((c) => [c.id, was])) : was;
    const kept = Object.entries({ ...all, [moment]: value }).filter(([, v]) => v !== undefined);
    onSet(kept.length > 0 ? { ...others, [id]: Object.fromEntries(kept) as Record<string, number> } : others);
  };
  return (
    <details>
      <summary className="min-h-11 cursor-pointer content-center font-semibold">
        Feet and loads, moment by moment
      </summary>
      <div className="mt-1 grid gap-2">
        <Pick
          label="At"
          value={moment}
          options={moments.map((m) => ({ id: m.id, label: m.brief }))}
          onPick={setMoment}
        />
        {ROWS.map((row) => (
          <label key={row.id} className="flex items-center gap-3 text-sm">
            <span className="flex-1">
              {row.label}
              <span className="text-soft block">{elsewhere(row.id)}</span>
            </span>
            <input
              type="number"
              aria-label={row.label}
              className="w-20 text-right"
              min={row.least}
              max={row.most}
              value={at(set?.[row.id], moment) ?? ""}
              onChange={(e) => put(row.id, numberOf(e.target.value))}
            />
          </label>
        ))}
        <p className="text-soft text-sm">What is left empty is as the swing has it.</p>
      </div>
    </details>
  );
}

function numberOf(text: string): number | undefined {
  const value = Number(text);
  return text.trim() === "" || Number.isNaN(value) ? undefined : value;
}
