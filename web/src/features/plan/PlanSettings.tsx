import type { Catalogue, StoredPlan } from "@/api/types";
import { Button } from "@/ui/Button";
import type { PlanWork } from "./usePlanTerms";

const SIZES = [5, 8, 10, 12, 15];
const REPS = [20, 40, 60, 80, 100, 120, 150, 200];

/** A number, or as usual. */
function Pick({
  label,
  options,
  value,
  disabled,
  onPick,
}: {
  label: string;
  options: number[];
  value?: number | null;
  disabled: boolean;
  onPick: (value: number | undefined) => void;
}) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      {label}
      <select
        className="min-h-11"
        disabled={disabled}
        value={value ?? ""}
        onChange={(e) => onPick(e.target.value ? Number(e.target.value) : undefined)}
      >
        <option value="">as usual</option>
        {[...new Set([...options, ...(value ? [value] : [])])].map((n) => (
          <option key={n} value={n}>
            {n}
          </option>
        ))}
      </select>
    </label>
  );
}

/** How the plan is laid, and what is spared in it for being sore. */
export function PlanSettings({
  stored,
  work,
  catalogue,
}: {
  stored: StoredPlan;
  work: PlanWork;
  catalogue: Catalogue;
}) {
  const { terms, plan } = stored;
  const joint = (id: string) => catalogue.joints.find((j) => j.id === id)?.label ?? id;
  const unspared = terms.unspared ?? [];
  return (
    <div className="no-print flex flex-wrap items-center gap-x-6 gap-y-2">
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          disabled={work.busy}
          checked={terms.lessonCheck ?? false}
          onChange={(e) => work.apply({ ...terms, lessonCheck: e.target.checked })}
        />
        The next lesson begins with ten scored balls
      </label>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          disabled={work.busy}
          checked={terms.oneThing ?? false}
          onChange={(e) => work.apply({ ...terms, oneThing: e.target.checked })}
        />
        A block of one thing first, 700 reps
      </label>
      <Pick
        label="Sets of"
        options={SIZES}
        value={terms.sets?.size}
        disabled={work.busy}
        onPick={(size) => work.apply({ ...terms, sets: { ...terms.sets, size } })}
      />
      <Pick
        label="Reps a day without a ball"
        options={REPS}
        value={terms.sets?.repsADay}
        disabled={work.busy}
        onPick={(repsADay) => work.apply({ ...terms, sets: { ...terms.sets, repsADay } })}
      />
      {(plan.spared ?? []).map((id) => (
        <p key={id} className="flex items-center gap-2">
          Spared as sore: <strong>{joint(id).toLowerCase()}</strong>
          <Button
            weight="quiet"
            disabled={work.busy}
            aria-label={`Spare the ${joint(id).toLowerCase()} no longer`}
            onClick={() => work.apply({ ...terms, unspared: [...unspared, id] })}
          >
            Spare it no longer
          </Button>
        </p>
      ))}
      {unspared.map((id) => (
        <p key={id} className="text-soft flex items-center gap-2">
          {joint(id)} is not spared.
          <Button
            weight="quiet"
            disabled={work.busy}
            onClick={() => work.apply({ ...terms, unspared: unspared.filter((u) => u !== id) })}
          >
            Spare it again
          </Button>
        </p>
      ))}
    </div>
  );
}
