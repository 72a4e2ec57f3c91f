import type { Catalogue, StoredPlan } from "@/api/types";
import { shortDay } from "@/calendar/dates";
import { Button } from "@/ui/Button";
import { Note } from "@/ui/Notice";
import { stoppedDays } from "./stopped";
import type { PlanWork } from "./usePlanTerms";

/** Drills that hurt and still stand on the plan, and the way to lay the rest without them. */
export function StoppedNote({
  stored,
  practised,
  catalogue,
  work,
}: {
  stored: StoredPlan;
  practised: string[];
  catalogue: Catalogue;
  work: PlanWork;
}) {
  const days = stoppedDays(stored);
  if (days.length === 0) return null;
  const standing = stored.stopped.filter((s) => days.some((d) => d.blocks.some((b) => b.drill === s.drill)));
  const without = () => {
    if (stored.assigned) return work.layAgain(stored.id);
    const gone = (one: { drill: string }) => standing.some((s) => s.drill === one.drill);
    const edits = stored.terms.edits && {
      ...stored.terms.edits,
      locked: stored.terms.edits.locked.filter((l) => !gone(l)),
      chosen: stored.terms.edits.chosen.filter((c) => !gone(c)),
    };
    work.apply({ ...stored.terms, edits });
  };
  return (
    <Note tone="alert">
      <p>
        <strong>Stopped for pain</strong>:{" "}
        {standing
          .map((s) => `${catalogue.drills[s.drill]?.name ?? s.drill}, since ${shortDay(s.since)}`)
          .join("; ")}
        . It is crossed out on {days.length === 1 ? "one day" : `${days.length} days`} to come, until you lift
        the stop.
      </p>
      {days.some((day) => !practised.includes(day.date)) && (
        <Button className="no-print mt-1" disabled={work.busy} onClick={without}>
          Lay the rest without it
        </Button>
      )}
    </Note>
  );
}
