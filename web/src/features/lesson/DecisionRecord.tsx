import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Catalogue, Decision, Diagnosis, Lesson } from "@/api/types";
import { shortDay } from "@/calendar/dates";
import { GRADE } from "./Ranking";

/** What was decided when, on which diagnosis. A lesson corrected later does not change it. */
export function DecisionRecord({ lesson, catalogue }: { lesson: Lesson; catalogue: Catalogue }) {
  const decisions = useQuery({ ...queries.decisions(lesson.id), enabled: lesson.focus.length > 0 });
  if (!decisions.data || decisions.data.length === 0) return null;
  return (
    <details className="text-[0.95rem]">
      <summary className="text-soft min-h-11 cursor-pointer content-center">
        On record: {decisions.data.length === 1 ? "one decision" : `${decisions.data.length} decisions`}
      </summary>
      <ol className="grid gap-3 pb-2">
        {decisions.data.map((d) => (
          <Entry key={d.decidedAt} decision={d} now={lesson.diagnosis} catalogue={catalogue} />
        ))}
      </ol>
    </details>
  );
}

function Entry({ decision, now, catalogue }: { decision: Decision; now: Diagnosis; catalogue: Catalogue }) {
  const label = (id: string) => catalogue.faults.find((f) => f.id === id)?.label ?? id;
  const leading = decision.diagnosis.faults.slice(0, 3);
  return (
    <li className="border-line border-l-2 pl-3">
      <p>
        {shortDay(decision.decidedAt.slice(0, 10))}:{" "}
        <strong>{decision.focus.map(label).join(", then ")}</strong>
        {decision.reason && ` — ${decision.reason}`}
      </p>
      <ul className="text-soft">
        {leading.map((then) => {
          const today = now.faults.find((f) => f.id === then.id)?.probability ?? 0;
          return (
            <li key={then.id}>
              {label(then.id)}: {GRADE[then.grade]} {percent(then.probability)}
              {percent(today) !== percent(then.probability) && `, by what is entered now ${percent(today)}`}
            </li>
          );
        })}
      </ul>
      <p className="text-soft text-sm">Catalogue {decision.catalogueVersion}</p>
    </li>
  );
}

const percent = (p: number) => `${Math.round(p * 100)} %`;
