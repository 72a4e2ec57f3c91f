import { useQuery } from "@tanstack/react-query";
import { Printer } from "lucide-react";
import { Link, useParams } from "react-router";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Hand, PlanBlock, PlanDay } from "@/api/types";
import { Button } from "@/ui/Button";
import { longDay, shortDay } from "@/ui/dates";
import { Failed, Loading } from "@/ui/Notice";
import { DrillDiagram } from "../drill/DrillDiagram";
import { dose } from "./PlanDays";
import { cueCard, weeksOf } from "./sheetShape";

/** The plan on paper: a page a week with boxes to tick, and a card for the course. */
export default function SheetPage() {
  const id = useParams().id as string;
  const lesson = useQuery(queries.lesson(id));
  const plan = useQuery(queries.lessonPlan(id));
  const catalogue = useCatalogue(lesson.data?.handedness);
  if (lesson.isPending || plan.isPending || catalogue.isPending) return <Loading />;
  if (lesson.isError) return <Failed error={lesson.error} again={() => lesson.refetch()} />;
  if (plan.isError) return <Failed error={plan.error} again={() => plan.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const { plan: laid, from, nextLesson } = plan.data;
  const hand = lesson.data.handedness as Hand;
  const fault = (f: string) => catalogue.data.faults.find((x) => x.id === f)?.label ?? f;
  const card = cueCard(laid, catalogue.data);
  const weeks = weeksOf(laid, from);
  return (
    <div className="sheet mx-auto max-w-[50rem]">
      <p className="no-print mb-4 flex flex-wrap items-center gap-4">
        <Link to={`/lessons/${id}/plan`}>Back to the plan</Link>
        <Button weight="main" className="ml-auto" onClick={() => window.print()}>
          <Printer aria-hidden className="size-5" /> Print or save as PDF
        </Button>
      </p>
      {weeks.map((days, week) => (
        <section key={days[0]!.date} aria-label={`Week ${week + 1}`} className="page mb-10">
          <header className="border-ink flex flex-wrap items-baseline gap-x-4 border-b-2 pb-1">
            <h1>{lesson.data.studentName}</h1>
            <p>
              {lesson.data.focus.map(fault).join(", then ")} · week {week + 1} of {weeks.length}
            </p>
            <p className="ml-auto">Next lesson: {longDay(nextLesson)}</p>
          </header>
          {days.map((day) => (
            <DayRow key={day.date} day={day} catalogue={catalogue.data} hand={hand} />
          ))}
          {week === 0 && laid.cautions.length > 0 && (
            <ul className="mt-2 list-disc pl-5 text-sm leading-snug">
              {laid.cautions.map((caution) => (
                <li key={caution}>{caution}</li>
              ))}
            </ul>
          )}
        </section>
      ))}
      {card && (
        <section
          aria-label="Card for the course"
          className="border-ink grid max-w-96 gap-2 rounded-lg border-2 p-4"
        >
          <h2>For the pocket</h2>
          <p>
            <span className="text-soft">Before the shot: </span>
            <strong>{card.before}</strong>
          </p>
          <p>
            <span className="text-soft">After a bad one: </span>
            one rehearsal of {card.drill.toLowerCase()}, nothing else. {card.after}
          </p>
        </section>
      )}
    </div>
  );
}

function DayRow({ day, catalogue, hand }: { day: PlanDay; catalogue: Catalogue; hand: Hand }) {
  const place = catalogue.places.find((p) => p.id === day.place)?.label.toLowerCase();
  const main = day.blocks.find((b) => b.kind === "main");
  const drill = main && catalogue.drills[main.drill];
  return (
    <article className="border-line grid grid-cols-[4.2rem_1fr] gap-3 border-b py-2 break-inside-avoid">
      <div>{drill && <DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />}</div>
      <div>
        <p>
          <strong>{shortDay(day.date)}</strong>, {place}, {Math.round(day.minutes)} min
          <span className="float-right">
            clear <Box /> lost <Box /> pain <Box />
          </span>
        </p>
        <ul className="text-[0.95rem] leading-snug">
          {day.blocks.map((block, i) => (
            <li key={i}>
              {catalogue.drills[block.drill]?.name},{" "}
              {catalogue.rungs.find((r) => r.id === block.rung)?.label.toLowerCase()}: {dose(block)}{" "}
              <Boxes block={block} />
              {block.kind === "main" && (
                <span className="text-soft block text-sm">
                  {catalogue.drills[block.drill]?.variations[block.rung]} Think: {block.cue.toLowerCase()}.
                </span>
              )}
            </li>
          ))}
        </ul>
      </div>
    </article>
  );
}

/** One box per set; for a check one per rep. */
function Boxes({ block }: { block: PlanBlock }) {
  const count = block.kind === "check" ? 10 : block.sets;
  return (
    <span
      role="img"
      aria-label={`${count} boxes to tick`}
      className="inline-flex flex-wrap gap-0.5 align-middle"
    >
      {Array.from({ length: count }, (_, i) => (
        <Box key={i} wide={i % 5 === 4} />
      ))}
      {block.kind === "check" && <span className="ml-1">good: ____</span>}
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
