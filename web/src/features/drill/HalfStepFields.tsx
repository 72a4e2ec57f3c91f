import { Plus, X } from "lucide-react";
import type { Catalogue, DrillSource, OwnHalfStep } from "@/api/types";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import { NumberField } from "@/ui/NumberField";
import { Checks, type Change } from "./fields";

/** Half-steps that any drill may take. */
const STANDARD = [
  { id: "slower", label: "Slower" },
  { id: "faster", label: "Quicker" },
  { id: "no-club", label: "Empty hands" },
  { id: "with-club", label: "Club across" },
  { id: "eyes-closed", label: "Eyes closed" },
  { id: "half-prop", label: "Prop for half" },
  { id: "no-pause", label: "No pause" },
  { id: "other-foot", label: "Other foot aloud" },
  { id: "finish-target", label: "To a target" },
  { id: "mixed", label: "Mixed" },
];

const LOWEST_SPEED = 20;

/** With a rung's entry, or without it; nothing where none is left. */
function withRung<T>(of: Record<string, T> | undefined, rung: string, value: T | undefined) {
  const entries = Object.entries(of ?? {}).filter(([id]) => id !== rung);
  if (value !== undefined) entries.push([rung, value]);
  return entries.length > 0 ? (Object.fromEntries(entries) as Record<string, T>) : undefined;
}

const isOwn = (step: string | OwnHalfStep): step is OwnHalfStep => typeof step !== "string";

/** How a drill changes within one rung from day to day, and how fast it is done there. */
export function HalfStepFields({
  rung,
  drill,
  change,
  error,
}: {
  rung: Catalogue["rungs"][number];
  drill: DrillSource;
  change: Change;
  error?: string;
}) {
  const steps = drill.halfSteps?.[rung.id] ?? [];
  const own = steps.filter(isOwn);
  const put = (next: (string | OwnHalfStep)[]) => {
    change({ halfSteps: withRung(drill.halfSteps, rung.id, next.length > 0 ? next : undefined) });
  };
  const standard = steps.filter((s): s is string => !isOwn(s));
  return (
    <details className="border-line border-b">
      <summary className="min-h-11 cursor-pointer content-center">
        <span className="font-semibold">Half-steps on {rung.label.toLowerCase()}</span>{" "}
        <span className="text-soft">
          {steps.length === 0
            ? "the usual ones"
            : steps
                .map((s) => (isOwn(s) ? s.label : STANDARD.find((x) => x.id === s)?.label))
                .join(", ")
                .toLowerCase()}
        </span>
        {error && <span className="text-alert block font-semibold">{error}</span>}
      </summary>
      <div className="grid gap-3 pb-3">
        <Checks
          named={false}
          label={`Half-steps on ${rung.label}`}
          options={STANDARD}
          chosen={standard}
          onChange={(next) => put([...next, ...own])}
        />
        {own.map((step, i) => (
          <div key={i} className="flex flex-wrap items-end gap-2">
            <label className="grid">
              <span className="text-soft text-sm">Name</span>
              <input
                required
                maxLength={30}
                value={step.label}
                onChange={(e) =>
                  put([...standard, ...own.map((o, j) => (j === i ? { ...o, label: e.target.value } : o))])
                }
              />
            </label>
            <label className="grid flex-1">
              <span className="text-soft text-sm">What is different</span>
              <input
                required
                maxLength={600}
                value={step.do}
                onChange={(e) =>
                  put([...standard, ...own.map((o, j) => (j === i ? { ...o, do: e.target.value } : o))])
                }
              />
            </label>
            <IconButton
              label={`Remove ${step.label || "this half-step"}`}
              onClick={() => put([...standard, ...own.filter((_, j) => j !== i)])}
            >
              <X aria-hidden className="size-4" />
            </IconButton>
          </div>
        ))}
        <Button
          weight="quiet"
          onClick={() => put([...steps, { id: `own-${rung.id}-${own.length + 1}`, label: "", do: "" }])}
        >
          <Plus aria-hidden className="size-4" /> One of your own
        </Button>
        <label className="flex items-center gap-2">
          Speed
          <NumberField
            aria-label={`Speed on ${rung.label} in percent`}
            className="w-20"
            lowest={LOWEST_SPEED}
            highest={100}
            value={drill.speeds?.[rung.id] ?? null}
            placeholder="usual"
            onChange={(percent) => {
              change({ speeds: withRung(drill.speeds, rung.id, percent ?? undefined) });
            }}
          />
          % of full
        </label>
      </div>
    </details>
  );
}
