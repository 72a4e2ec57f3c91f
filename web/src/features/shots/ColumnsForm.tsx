import type { Wire } from "@/api/types";
import { Choice } from "@/ui/Choice";

type Look = Wire["LookView"];
type Columns = Wire["ColumnsEntry"];

const LENGTHS = ["m", "yd", "ft"];
const SPEEDS = ["m/s", "km/h", "mph"];
const FIGURES = [
  { id: "carry", label: "Carry", units: LENGTHS },
  { id: "offline", label: "Miss from the line", units: LENGTHS },
  { id: "ball-speed", label: "Ball speed", units: SPEEDS },
  { id: "club-speed", label: "Club speed", units: SPEEDS },
];

/** Which column is what, with the file's first rows for comparison. */
export function ColumnsForm({ look, onChange }: { look: Look; onChange: (columns: Columns) => void }) {
  const { columns, heading, rows } = look;
  const figures = columns.figures;
  const options = (
    <>
      <option value="">none</option>
      {heading.map((name, index) => (
        <option key={index} value={index}>
          {name || `column ${index + 1}`}
          {rows[0]?.[index] ? ` (${rows[0][index]} …)` : ""}
        </option>
      ))}
    </>
  );
  const set = (id: string, column: string, unit: string) => {
    const next = { ...figures };
    if (column === "") delete next[id];
    else next[id] = { index: Number(column), unit };
    onChange({ ...columns, figures: next });
  };
  return (
    <fieldset className="grid gap-2">
      <legend className="font-semibold">Which column is what?</legend>
      {FIGURES.map((figure) => {
        const now = figures[figure.id];
        return (
          <div key={figure.id} className="flex flex-wrap items-center gap-2">
            <span className="w-36">{figure.label}</span>
            <select
              aria-label={`Column of ${figure.label.toLowerCase()}`}
              className="max-w-56"
              value={now?.index ?? ""}
              onChange={(e) => set(figure.id, e.target.value, now?.unit ?? figure.units[0]!)}
            >
              {options}
            </select>
            {now && (
              <select
                aria-label={`Unit of ${figure.label.toLowerCase()}`}
                value={now.unit}
                onChange={(e) => set(figure.id, String(now.index), e.target.value)}
              >
                {figure.units.map((unit) => (
                  <option key={unit}>{unit}</option>
                ))}
              </select>
            )}
          </div>
        );
      })}
      <div className="flex flex-wrap items-center gap-2">
        <span className="w-36">Club</span>
        <select
          aria-label="Column of the club"
          className="max-w-56"
          value={columns.club ?? ""}
          onChange={(e) =>
            onChange({ ...columns, club: e.target.value === "" ? undefined : Number(e.target.value) })
          }
        >
          {options}
        </select>
      </div>
      {figures.offline && (
        <div className="flex flex-wrap items-center gap-2">
          <span className="w-36">A plus is</span>
          <Choice
            compact
            label="Side of a positive miss"
            value={columns.plusIsRight ? "right" : "left"}
            options={[
              { id: "right", label: "right of the line" },
              { id: "left", label: "left of it" },
            ]}
            onChange={(side) => onChange({ ...columns, plusIsRight: side === "right" })}
          />
        </div>
      )}
    </fieldset>
  );
}
