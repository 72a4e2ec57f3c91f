import { useQuery } from "@tanstack/react-query";
import { Check, Redo2, Undo2 } from "lucide-react";
import { type FormEvent, useRef, useState } from "react";
import { Link, useParams } from "react-router";
import { Problem } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Hand, Lesson, Plan, StoredPlan } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { longDay, plusDays, shortDay } from "@/calendar/dates";
import { IconButton } from "@/ui/IconButton";
import { Failed, Loading, Note } from "@/ui/Notice";
import { Meanwhile } from "@/ui/Meanwhile";
import { BlockPanel, type Chosen } from "./BlockPanel";
import { chose, countOf, planners } from "./edits";
import { GateSetting } from "./GateSetting";
import { LaidAgain } from "./LaidAgain";
import { Offers, WouldHelp } from "./Offers";
import { PlanSettings } from "./PlanSettings";
import { PlanDays } from "./PlanDays";
import { Staircase } from "./Staircase";
import { StoppedNote } from "./StoppedNote";
import { GroupTools } from "./GroupTools";
import { TemplateTools } from "./TemplateTools";
import { type PlanWork, usePlanTerms } from "./usePlanTerms";
import { inDigits } from "@/ui/number";
import { Sheet } from "@/ui/Sheet";
import { Title } from "@/ui/Title";

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
  const work = usePlanTerms(lesson, plan);
  const practised = useQuery(queries.practised(lesson.id)).data ?? [];
  const fault = (id: string) => catalogue.faults.find((f) => f.id === id)?.label ?? id;
  const edited = plan ? countOf(plan.terms) : 0;

  return (
    <div className="grid gap-5">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <div>
          <Title>{`Plan: ${lesson.studentName}`}</Title>
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
          {lesson.focus.length > 0 && <TemplateTools lesson={lesson} plan={plan} work={work} />}
          {plan && plan.plan.days.length > 0 && <GroupTools lesson={lesson} />}
          {lesson.focus.length > 0 && <DatesForm lesson={lesson} plan={plan} work={work} />}
          {plan && (
            <span className="flex">
              <IconButton label="Undo" disabled={!work.canUndo} onClick={work.undo}>
                <Undo2 aria-hidden className="size-5" />
              </IconButton>
              <IconButton label="Redo" disabled={!work.canRedo} onClick={work.redo}>
                <Redo2 aria-hidden className="size-5" />
              </IconButton>
            </span>
          )}
          {plan && plan.plan.days.length > 0 && (
            <>
              <ButtonLink to={`/lessons/${lesson.id}/plan/sheet`} weight="quiet">
                On paper
              </ButtonLink>
              {plan.assigned && (
                <a
                  href={`/api/plans/${plan.id}/calendar.ics`}
                  className="hover:bg-tint inline-flex min-h-11 items-center rounded-md px-4 font-semibold no-underline"
                >
                  Calendar
                </a>
              )}
            </>
          )}
          {plan && !plan.assigned && (
            <Button weight="quiet" disabled={work.busy} onClick={work.throwAway}>
              Throw the draft away
            </Button>
          )}
          {plan && !plan.assigned && plan.plan.days.length > 0 && <HandOver plan={plan} work={work} />}
          {plan?.assigned && (
            <p role="status" className="flex min-h-11 items-center gap-2 font-semibold">
              <Check aria-hidden className="size-5" /> The student has it
            </p>
          )}
        </div>
      </header>
      <Meanwhile changed={[...new Set(work.meanwhile)]} onSeen={work.seenMeanwhile} />
      {work.error && <Failed error={work.error} />}
      {lesson.focus.length === 0 && (
        <Note>
          Decide in the <Link to={`/lessons/${lesson.id}`}>lesson</Link> what to work on; the plan follows
          from it.
        </Note>
      )}
      {!plan && lesson.focus.length > 0 && (
        <p className="text-soft">Set the next lesson's day and draft the plan.</p>
      )}
      {plan && <TriedLast lesson={lesson} plan={plan} work={work} catalogue={catalogue} />}
      {plan && edited > 0 && (
        <p className="no-print flex flex-wrap items-center gap-3">
          {edited === 1 ? "One change" : `${edited} changes`} to the planner's own{" "}
          {edited === 1 ? "is" : "are"} kept.
          <Button weight="quiet" disabled={work.busy} onClick={() => work.apply(planners(plan.terms))}>
            Back to the planner's own
          </Button>
        </p>
      )}
      {plan && plan.changes.length > 0 && (
        <section aria-labelledby="changes" className="border-warn border-l-4 pl-4">
          <h2 id="changes">What this would change of the plan the student has</h2>
          <ul>
            {plan.changes.map((change) => (
              <li key={change}>{change}</li>
            ))}
          </ul>
        </section>
      )}
      {plan && (
        <PlanSheet lesson={lesson} stored={plan} work={work} catalogue={catalogue} practised={practised} />
      )}
    </div>
  );
}

/** The drill of the lesson's last stage, if it was one. */
function lastTried({ entry }: Lesson): string | undefined {
  const stages = Object.values(entry.tries ?? {}).sort((a, b) => a.number - b.number);
  return stages.at(-1)?.drill ?? undefined;
}

/** What was tried last in the lesson is offered as the drill to begin with, where it fits the first rung. */
function TriedLast({
  lesson,
  plan,
  work,
  catalogue,
}: {
  lesson: Lesson;
  plan: StoredPlan;
  work: PlanWork;
  catalogue: Catalogue;
}) {
  const drill = catalogue.drills[lastTried(lesson) ?? ""];
  const first = plan.plan.route.find((step) => step.gate);
  if (plan.assigned || !drill || !first || first.drill === drill.id) return null;
  const fits = drill.variations[first.rung] && [...drill.main, ...drill.helps].includes(first.fault);
  if (!fits) return null;
  return (
    <p className="no-print flex flex-wrap items-center gap-3">
      {drill.name} was tried last in the lesson.
      <Button
        disabled={work.busy}
        onClick={() => work.apply(chose(plan.terms, first.fault, first.rung, drill.id))}
      >
        Begin the plan with it
      </Button>
    </p>
  );
}

/** Under so many expected gates a plan is handed over only once the coach has seen that. */
const FEW_GATES = 0.3;

function HandOver({ plan, work }: { plan: StoredPlan; work: PlanWork }) {
  const [asking, setAsking] = useState(false);
  // The chances beside the rungs, added up: they know what was practised.
  const chances = plan.plan.route.flatMap((step) => (step.chance == null ? [] : [step.chance]));
  const gates = chances.reduce((all, one) => all + one, 0);
  const few = chances.length > 0 && gates < FEW_GATES;
  return (
    <>
      <Button
        weight="main"
        disabled={work.busy}
        onClick={() => (few ? setAsking(true) : work.handOver(plan.id))}
      >
        {plan.changes.length > 0 ? "Hand the changes over" : "Hand it over"}
      </Button>
      <Sheet title="Hardly a gate is to be expected" open={asking} onOpenChange={setAsking}>
        <p>
          With these days {gates < 0.05 ? "no gate" : `${inDigits(gates)} gates`} can be expected by the next
          lesson. Look at what would help first; what the student will see is what to do, not this number.
        </p>
        <div className="mt-4 flex flex-wrap gap-3">
          <Button
            weight="main"
            disabled={work.busy}
            onClick={() => {
              setAsking(false);
              work.handOver(plan.id);
            }}
          >
            Hand it over all the same
          </Button>
          <Button onClick={() => setAsking(false)}>Look again</Button>
        </div>
      </Sheet>
    </>
  );
}

/** Reasons as one sentence. */
function sentence(reasons: string): string {
  return reasons ? `${reasons.charAt(0).toUpperCase()}${reasons.slice(1)}.` : "";
}

function DatesForm({ lesson, plan, work }: { lesson: Lesson; plan?: StoredPlan; work: PlanWork }) {
  const [nextLesson, setNextLesson] = useState(plan?.nextLesson ?? plusDays(lesson.heldOn, DAYS_TO_NEXT));
  const from = plusDays(lesson.heldOn, 1);
  const [shown, setShown] = useState(plan?.nextLesson);
  if (plan && plan.nextLesson !== shown) {
    // The day was moved by an offer or an undo.
    setShown(plan.nextLesson);
    setNextLesson(plan.nextLesson);
  }
  const submit = (event: FormEvent) => {
    event.preventDefault();
    work.apply(plan ? { ...plan.terms, nextLesson } : { from, nextLesson });
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
      <Button type="submit" weight={plan ? "plain" : "main"} disabled={work.busy}>
        {plan ? "Draft again" : "Draft the plan"}
      </Button>
    </form>
  );
}

/** How much is laid; where days lie behind, of what is left, and the rest apart. */
function Totals({ plan }: { plan: Plan }) {
  const { reps, balls, minutes, wantedReps, behind } = plan.totals;
  const ahead = plan.days.slice(behind?.days ?? 0);
  const days = ahead.length;
  const tried = ahead.flatMap((d) => d.blocks).reduce((sum, b) => sum + (b.kind === "try" ? b.balls : 0), 0);
  return (
    <p>
      <strong>
        {days} {days === 1 ? "day" : "days"}
        {behind && " left"}
      </strong>
      , {reps} reps of which {balls} balls{tried > 0 && `, ${tried} more as tries`}, {Math.round(minutes)}{" "}
      minutes. These rungs want about {wantedReps} reps{behind && " more"}.
      {behind && (
        <span className="text-soft">
          {" "}
          Behind: {behind.days} {behind.days === 1 ? "day" : "days"}, {behind.reps} reps of which{" "}
          {behind.balls} balls, as they were planned.
        </span>
      )}
    </p>
  );
}

function PlanSheet({
  lesson,
  stored,
  work,
  catalogue,
  practised,
}: {
  lesson: Lesson;
  stored: StoredPlan;
  work: PlanWork;
  catalogue: Catalogue;
  practised: string[];
}) {
  const { plan } = stored;
  const hand = lesson.handedness as Hand;
  const [chosen, setChosen] = useState<Chosen>();
  const focusRef = useRef(false);
  const over = stored.nextLesson <= stored.today;
  const drill = (id: string) => catalogue.drills[id]?.name ?? id;
  const rung = (id: string) => catalogue.rungs.find((r) => r.id === id)?.label ?? id;
  const kit = (id: string) => catalogue.equipment.find((e) => e.id === id)?.label ?? id;
  return (
    <>
      <StoppedNote stored={stored} practised={practised} catalogue={catalogue} work={work} />
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
          <Totals plan={plan} />
          <PlanSettings stored={stored} work={work} catalogue={catalogue} />
          <Staircase
            plan={plan}
            from={stored.from}
            until={stored.nextLesson}
            catalogue={catalogue}
            practised={practised}
            today={stored.today}
            promised={stored.promised}
            edit={over ? undefined : { stored, work, chosen, onChoose: setChosen, focusRef }}
          />
          {!over && (
            <div className="no-print">
              <BlockPanel
                lesson={lesson}
                stored={stored}
                chosen={chosen}
                work={work}
                catalogue={catalogue}
                onMoved={(date) => chosen && setChosen({ ...chosen, date })}
              />
            </div>
          )}
          <p className="text-soft text-sm">
            Filled: done. Outlined: to come. {lesson.focus.length > 1 && "Dashed: the second fault. "}A bar
            under the day: balls may be hit there. On the right: chance of being through by{" "}
            {shortDay(stored.nextLesson)}, from simulated students of this level. Point at a day for its card.
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
                    <Link to={`/drills/${step.drill}${hand === "left" ? "?hand=left" : ""}`}>
                      {drill(step.drill)}
                    </Link>
                    {step.gate && (
                      <span className="text-soft">
                        {" "}
                        – <GateSetting studentId={lesson.studentId} step={step} />
                        {step.likelyOn && `, likely by ${shortDay(step.likelyOn)}`}
                      </span>
                    )}
                  </p>
                  <p className="text-soft pl-24 text-sm">{sentence(step.why)}</p>
                  <p className="pl-24 text-sm">
                    <WouldHelp stored={stored} step={step} />
                  </p>
                </li>
              ))}
            </ol>
          </section>
          <div className="no-print grid gap-6">
            <Offers stored={stored} work={work} />
            {stored.assigned && <LaidAgain planId={stored.id} />}
          </div>
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
        <PlanDays stored={stored} catalogue={catalogue} practised={practised} lesson={lesson} />
      </div>
    </>
  );
}
