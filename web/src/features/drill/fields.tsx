import type { DrillSource } from "@/api/types";

export type Option = { id: string; label: string };
export type Change = (part: Partial<DrillSource>) => void;

/** Any number of a list. */
export function Checks({
  label,
  named = true,
  options,
  chosen,
  onChange,
}: {
  label: string;
  /** Whether the label is shown, or only spoken because it stands above already. */
  named?: boolean;
  options: Option[];
  chosen: string[];
  onChange: (chosen: string[]) => void;
}) {
  return (
    <fieldset>
      <legend className={named ? "text-soft text-sm" : "sr-only"}>{label}</legend>
      <div className="grid grid-cols-2">
        {options.map((o) => (
          <label key={o.id} className="flex min-h-9 items-center gap-2 leading-tight">
            <input
              type="checkbox"
              checked={chosen.includes(o.id)}
              onChange={(e) =>
                onChange(e.target.checked ? [...chosen, o.id] : chosen.filter((c) => c !== o.id))
              }
            />
            {o.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** One of a list. */
export function Pick({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: string;
  options: Option[];
  onPick: (id: string) => void;
}) {
  return (
    <label className="grid">
      <span className="text-soft text-sm">{label}</span>
      <select className="min-h-11" value={value} onChange={(e) => onPick(e.target.value)}>
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.label}
          </option>
        ))}
      </select>
    </label>
  );
}
