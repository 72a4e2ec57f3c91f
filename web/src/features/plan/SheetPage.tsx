import { useMutation, useQueries, useQuery } from "@tanstack/react-query";
import { FileDown, Printer } from "lucide-react";
import { useCallback, useEffect } from "react";
import { Link, useParams } from "react-router";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Hand } from "@/api/types";
import { Button } from "@/ui/Button";
import { longDay } from "@/calendar/dates";
import { Failed, Loading } from "@/ui/Notice";
import { Title } from "@/ui/Title";
import { NoPlan } from "./NoPlan";
import { DrillDiagram } from "../drill/DrillDiagram";
import { PoseStrip } from "../golfer/PoseStrip";
import { type Sheet, type SheetDay, type SheetLine, sheetOf, shownOn, STOPPED } from "./sheetShape";
import type { Moving } from "./sheetPdf";

/** The plan on paper: a page a week with boxes to tick, and a card for the course. */
export default function SheetPage() {
  const id = useParams().id as string;
  const lesson = useQuery(queries.lesson(id));
  const plan = useQuery(queries.lessonPlan(id));
  const catalogue = useCatalogue(lesson.data?.handedness, lesson.data?.studentUnits);
  const own = useQuery({ ...queries.ownWords(lesson.data?.studentId ?? ""), enabled: !!lesson.data });
  const shown =
    lesson.data && plan.data && catalogue.data
      ? shownOn(sheetOf(lesson.data, plan.data, catalogue.data))
      : [];
  const motions = useQueries({
    queries: shown.map(({ drill, rung }) =>
      queries.motion(drill.id, rung, lesson.data?.handedness as Hand, { height: lesson.data?.studentHeight }),
    ),
  });
  const moving: Moving[] = shown.flatMap((one, i) => {
    const motion = motions[i]?.data;
    return motion ? [{ ...one, motion }] : [];
  });
  if (lesson.isPending || plan.isPending || catalogue.isPending) return <Loading />;
  if (lesson.isError) return <Failed error={lesson.error} again={() => lesson.refetch()} />;
  if (plan.isError) return <NoPlan lessonId={id} error={plan.error} again={() => plan.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const sheet = sheetOf(lesson.data, plan.data, catalogue.data, own.data);
  const hand = lesson.data.handedness as Hand;
  return (
    <div className="sheet mx-auto max-w-[50rem]">
      <Title>{`On paper: ${sheet.student}`}</Title>
      <Tools sheet={sheet} moving={moving} planId={plan.data.id} lessonId={id} hand={hand} />
      {sheet.weeks.map((days, week) => (
        <section key={days[0]!.date} aria-label={`Week ${week + 1}`} className="page mb-10">
          <header className="border-ink flex flex-wrap items-baseline gap-x-4 border-b-2 pb-1">
            <WeekHead first={week === 0}>{sheet.student}</WeekHead>
            <p>
              {sheet.focus} · week {week + 1} of {sheet.weeks.length}
            </p>
            <p className="ml-auto">Next lesson: {longDay(sheet.nextLesson)}</p>
          </header>
          {days.map((day) => (
            <DayRow key={day.date} day={day} hand={hand} />
          ))}
          {week === 0 && sheet.cautions.length > 0 && (
            <ul className="mt-2 list-disc pl-5 text-sm leading-snug">
              {sheet.cautions.map((caution) => (
                <li key={caution}>{caution}</li>
              ))}
            </ul>
          )}
        </section>
      ))}
      {moving.length > 0 && (
        <section aria-labelledby="movements" className="page mb-6 grid gap-3">
          <h2 id="movements">How they go</h2>
          {moving.map(({ drill, motion }) => (
            <article key={drill.id} className="break-inside-avoid">
              <p>
                <strong>{drill.name}.</strong> {drill.action} {sheet.words[drill.id]}
              </p>
              <PoseStrip motion={motion} hand={hand} look={sheet.look} most={6} />
            </article>
          ))}
        </section>
      )}
      {sheet.card && (
        <section
          aria-label="Card for the course"
          className="border-ink grid max-w-96 gap-2 rounded-lg border-2 p-4"
        >
          <h2>For the pocket</h2>
          <p>
            <span className="text-soft">Before the shot: </span>
            <strong>{sheet.card.before}</strong>
          </p>
          <p>
            <span className="text-soft">After a bad one: </span>
            {sheet.card.after}
          </p>
        </section>
      )}
    </div>
  );
}

function Tools({
  sheet,
  moving,
  planId,
  lessonId,
  hand,
}: {
  sheet: Sheet;
  moving: Moving[];
  planId: string;
  lessonId: string;
  hand: Hand;
}) {
  // What is on paper cannot be changed any more: it is remembered, so that the coach is told what stands on it.
  const onPaper = useCallback(() => {
    void api.post<void>(`/api/plans/${planId}/printed`).catch(() => undefined);
  }, [planId]);
  useEffect(() => {
    window.addEventListener("beforeprint", onPaper);
    return () => window.removeEventListener("beforeprint", onPaper);
  }, [onPaper]);
  const save = useMutation({
    mutationFn: async () => {
      const { saveSheet } = await import("./sheetPdf");
      await saveSheet(sheet, moving, hand);
      onPaper();
    },
  });
  return (
    <div className="no-print mb-4">
      <p className="flex flex-wrap items-center gap-4">
        <Link to={`/lessons/${lessonId}/plan`}>Back to the plan</Link>
        <Link to={`/lessons/${lessonId}/plan/paper`}>Enter the ticks</Link>
        <Button className="ml-auto" disabled={save.isPending} onClick={() => save.mutate()}>
          <FileDown aria-hidden className="size-5" /> {save.isPending ? "Making the PDF …" : "PDF to send"}
        </Button>
        <Button weight="main" onClick={() => window.print()}>
          <Printer aria-hidden className="size-5" /> Print
        </Button>
      </p>
      {save.isError && <Failed error={save.error} again={() => save.mutate()} />}
    </div>
  );
}

/** One page has one first heading; the pages after it repeat the name lower down. */
function WeekHead({ first, children }: { first: boolean; children: string }) {
  return first ? <h1>{children}</h1> : <h2 className="text-[1.75rem]!">{children}</h2>;
}

function DayRow({ day, hand }: { day: SheetDay; hand: Hand }) {
  return (
    <article className="border-line grid grid-cols-[4.2rem_1fr] gap-3 border-b py-2 break-inside-avoid">
      <div>
        {day.drill && <DrillDiagram diagram={day.drill.diagram} hand={hand} title={day.drill.name} />}
      </div>
      <div>
        <p>
          <strong>{day.when}</strong>, {day.where}
          <span className="float-right">
            clear <Box /> lost <Box /> pain <Box />
          </span>
        </p>
        <ul className="text-[0.95rem] leading-snug">
          {day.lines.map((line, i) => (
            <li key={i}>
              <span className={line.stopped ? "line-through" : ""}>{line.text}</span>{" "}
              {line.stopped ? <strong>{STOPPED}</strong> : <Boxes line={line} />}
              {line.hint && <span className="text-soft block text-sm">{line.hint}</span>}
            </li>
          ))}
        </ul>
      </div>
    </article>
  );
}

function Boxes({ line }: { line: SheetLine }) {
  return (
    <span
      role="img"
      aria-label={`${line.boxes} boxes to tick`}
      className="inline-flex flex-wrap gap-0.5 align-middle"
    >
      {Array.from({ length: line.boxes }, (_, i) => (
        <Box key={i} wide={i % 5 === 4} />
      ))}
      {line.scored && <span className="ml-1">good: ____</span>}
    </span>
  );
}

function Box({ wide = false }: { wide?: boolean }) {
  return (
    <span
      aria-hidden
      className={`border-ink inline-block size-3 border align-middle ${wide ? "mr-1.5" : "mr-0.5"}`}
    />
  );
}
