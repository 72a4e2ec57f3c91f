import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Check } from "lucide-react";
import { type FormEvent, useState } from "react";
import { Link, useParams } from "react-router";
import { api, Problem } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Hand, Lesson, StoredPlan } from "@/api/types";
import { Button } from "@/ui/Button";
import { longDay, plusDays, shortDay } from "@/ui/dates";
import { Failed, Loading, Note } from "@/ui/Notice";
import { PlanDays } from "./PlanDays";
import { Staircase } from "./Staircase";

const DAYS_TO_NEXT = 14;

/** The plan of a lesson: drafted, read, handed over. */
export default function PlanPage() {
  const id = useParams().id as string;
  const lesson = useQuery(queries.lesson(id));
  const plan = useQuery(queries.lessonPlan(id));
  const catalogue = useCatalogue(lesson.data?.handedness);
  if (lesson.isPending || plan.isPending || catalogue.isPending) return <Loading />;
  if (lesson.isError) return <Failed error={lesson.error} again={() => lesson.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const none = plan.error instanceof Problem && plan.error.status === 404;
  if (plan.isError && !none) return <Failed error={plan.error} again={() => plan.refetch()} />;
  return <PlanDesk lesson={lesson.data} plan={none ? undefined : plan.data} catalogue={catalogue.data} />;
}

function PlanDesk({ lesson, plan, catalogue }: { lesson: Lesson; plan?: StoredPlan; catalogue: Catalogue }) {
  const client = useQueryClient();
  const keep = (stored: StoredPlan) => {
    client.setQueryData(queries.lessonPlan(lesson.id).queryKey, stored);
    client.invalidateQueries({ queryKey: ["students"] });
  };
  const draft = useMutation({
    mutationFn: (dates: { from: string; nextLesson: string }) =>
      api.post<StoredPlan>(`/api/lessons/${lesson.id}/plan`, dates),
    onSuccess: keep,
  });
  const assign = useMutation({
    mutationFn: (id: string) => api.post<StoredPlan>(`/api/plans/${id}/assignment`),
    onSuccess: keep,
  });
  const practice = useQuery(queries.practice(lesson.studentId));
  const practised = (practice.data?.sessions ?? [])
    .map((s) => s.day)
    .filter((day) => plan?.assigned && day >= plan.from && day < plan.nextLesson);
  const fault = (id: string) => catalogue.faults.find((f) => f.id === id)?.label ?? id;

  return (
    <div className="grid gap-5">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <div>
          <h1>
            Plan for{" "}
            <Link to={`/students/${lesson.studentId}`} className="no-underline hover:underline">
              {lesson.studentName}
            </Link>
          </h1>
          <p className="text-soft">
            {lesson.focus.map(fault).join(", then ") || "Nothing decided"} · from the{" "}
            <Link to={`/lessons/${lesson.id}`}>lesson of {longDay(lesson.heldOn)}</Link>
          </p>
        </div>
        <div className="no-print ml-auto flex flex-wrap items-end gap-3">
          {lesson.focus.length > 0 && (
            <DatesForm
              lesson={lesson}
              plan={plan}
              busy={draft.isPending}
              onDraft={(dates) => draft.mutate(dates)}
            />
          )}
          {plan && !plan.assigned && plan.plan.days.length > 0 && (
            <Button weight="main" disabled={assign.isPending} onClick={() => assign.mutate(plan.id)}>
              Hand it over
            </Button>
          )}
          {plan?.assigned && (
            <p role="status" className="flex min-h-11 items-center gap-2 font-semibold">
              <Check aria-hidden className="size-5" /> The student has it
            </p>
          )}
        </div>
      </header>
      {draft.isError && <Failed error={draft.error} />}
      {assign.isError && <Failed error={assign.error} />}
      {lesson.focus.length === 0 && (
        <Note>
          Decide in the <Link to={`/lessons/${lesson.id}`}>lesson</Link> what to work on; the plan follows
          from it.
        </Note>
      )}
      {!plan && lesson.focus.length > 0 && (
        <p className="text-soft">Set the next lesson's day and draft the plan.</p>
      )}
      {plan && (
        <PlanSheet
          stored={plan}
          catalogue={catalogue}
          practised={practised}
          hand={lesson.handedness as Hand}
        />
      )}
    </div>
  );
}

function DatesForm({
  lesson,
  plan,
  busy,
  onDraft,
}: {
  lesson: Lesson;
  plan?: StoredPlan;
  busy: boolean;
  onDraft: (dates: { from: string; nextLesson: string }) => void;
}) {
  const [nextLesson, setNextLesson] = useState(plan?.nextLesson ?? plusDays(lesson.heldOn, DAYS_TO_NEXT));
  const from = plusDays(lesson.heldOn, 1);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onDraft({ from, nextLesson });
  };
  return (
    <form onSubmit={submit} className="flex items-end gap-3">
      <label className="grid">
        <span className="text-soft text-sm">Next lesson</span>
        <input
          type="date"
          required
          className="min-h-11"
          min={plusDays(from, 1)}
          value={nextLesson}
          onChange={(e) => setNextLesson(e.target.value)}
        />
      </label>
      <Button type="submit" weight={plan ? "plain" : "main"} disabled={busy}>
        {plan ? "Draft again" : "Draft the plan"}
      </Button>
    </form>
  );
}

function PlanSheet({
  stored,
  catalogue,
  practised,
  hand,
}: {
  stored: StoredPlan;
  catalogue: Catalogue;
  practised: string[];
  hand: Hand;
}) {
  const { plan } = stored;
  const drill = (id: string) => catalogue.drills[id]?.name ?? id;
  const rung = (id: string) => catalogue.rungs.find((r) => r.id === id)?.label ?? id;
  const kit = (id: string) => catalogue.equipment.find((e) => e.id === id)?.label ?? id;
  return (
    <>
      {plan.warnings.length > 0 && (
        <div className="grid gap-2">
          {plan.warnings.map((w) => (
            <Note key={w.code + w.text} tone="warn">
              {w.text}
            </Note>
          ))}
        </div>
      )}
      {plan.days.length > 0 && (
        <>
          <p>
            <strong>{plan.days.length} days</strong>, {plan.totals.reps} reps of which {plan.totals.balls}{" "}
            balls, {Math.round(plan.totals.minutes)} minutes. These rungs want about {plan.totals.wantedReps}{" "}
            reps.
          </p>
          <Staircase
            plan={plan}
            from={stored.from}
            until={stored.nextLesson}
            catalogue={catalogue}
            practised={practised}
          />
          <p className="text-soft text-sm">
            Filled: done. Outlined: to come. A bar under the day: balls may be hit there. On the right: chance
            of being through by {shortDay(stored.nextLesson)}, from simulated students of this level.
          </p>
        </>
      )}
      <div className="grid gap-10 lg:grid-cols-[1fr_1.5fr]">
        <div className="grid content-start gap-6">
          <section aria-labelledby="route">
            <h2 id="route">The route</h2>
            <ol>
              {plan.route.map((step) => (
                <li key={step.fault + step.rung} className="border-line border-b py-2">
                  <p>
                    <span className="inline-block w-24 font-semibold">{rung(step.rung)}</span>
                    {drill(step.drill)}
                    {step.gate && (
                      <span className="text-soft">
                        {" "}
                        – gate {step.gate.good} of {step.gate.of} on {step.gate.days} days
                      </span>
                    )}
                  </p>
                  <p className="text-soft pl-24 text-sm">{step.why}</p>
                </li>
              ))}
            </ol>
          </section>
          {plan.kit.length > 0 && (
            <section aria-labelledby="kit">
              <h2 id="kit">Kit</h2>
              <ul>
                {plan.kit.map((item) => (
                  <li key={item.id}>
                    {kit(item.id)}
                    {!item.have && <span className="text-soft"> – instead: {item.substitute}</span>}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {plan.cautions.length > 0 && (
            <section aria-labelledby="cautions">
              <h2 id="cautions">Take care</h2>
              <ul className="list-disc pl-5">
                {plan.cautions.map((caution) => (
                  <li key={caution}>{caution}</li>
                ))}
              </ul>
            </section>
          )}
          {plan.leftOut.length > 0 && (
            <section aria-labelledby="left-out">
              <h2 id="left-out">Left out</h2>
              <ul>
                {plan.leftOut.map((left) => (
                  <li key={left.drill}>
                    {drill(left.drill)}: <span className="text-soft">{left.reason}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
        <PlanDays plan={plan} catalogue={catalogue} practised={practised} hand={hand} />
      </div>
    </>
  );
}
