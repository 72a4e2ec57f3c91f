import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { FileDown, Printer } from "lucide-react";
import type { ComponentProps, ReactNode } from "react";
import { Link, useParams } from "react-router";
import { Problem } from "@/api/client";
import { ALL_LESSONS, queries, useCatalogue } from "@/api/queries";
import { Button } from "@/ui/Button";
import { today } from "@/calendar/dates";
import { Failed, Loading } from "@/ui/Notice";
import { STOPPED } from "../plan/sheetShape";
import { ThreadDrawing } from "../progress/ThreadDrawing";
import { type Report, reportOf } from "./reportShape";
import { Title } from "@/ui/Title";
import { ThenAndNow } from "../clip/lazily";
import { BlockGolfer } from "../golfer/lazily";

/** One page on how it goes, to print or to send. */
export default function ReportPage() {
  const id = useParams().id as string;
  const lesson = useQuery(queries.lesson(id));
  const progress = useQuery(queries.progress(id, "student"));
  const plan = useQuery(queries.lessonPlan(id));
  const thread = useQuery({
    ...queries.thread(lesson.data?.studentId ?? "", ALL_LESSONS, "student"),
    enabled: lesson.isSuccess,
  });
  const catalogue = useCatalogue(lesson.data?.handedness, lesson.data?.studentUnits);
  const none = plan.error instanceof Problem && plan.error.status === 404;
  const broken = [lesson, progress, thread, catalogue].find((q) => q.isError);
  if (broken) return <Failed error={broken.error} again={() => broken.refetch()} />;
  if (plan.isError && !none) return <Failed error={plan.error} again={() => plan.refetch()} />;
  if (!lesson.data || !progress.data || !thread.data || !catalogue.data || plan.isPending) return <Loading />;
  const report = reportOf(lesson.data, progress.data, plan.data, thread.data, catalogue.data);
  const { sinceLesson } = progress.data;
  const films = sinceLesson && {
    then: { lesson: sinceLesson, stage: "before" },
    now: { lesson: id, stage: "before" },
    hand: report.hand,
    catalogue: catalogue.data,
  };
  return (
    <div className="sheet mx-auto max-w-[50rem]">
      <Tools report={report} films={films || undefined} lessonId={id} />
      <ReportSheet report={report}>{films && <ThenAndNow {...films} />}</ReportSheet>
    </div>
  );
}

function Tools({
  report,
  films,
  lessonId,
}: {
  report: Report;
  films?: ComponentProps<typeof ThenAndNow>;
  lessonId: string;
}) {
  const client = useQueryClient();
  const save = useMutation({
    mutationFn: async () => {
      const [{ saveReport }, { filmsOnPaper }] = await Promise.all([
        import("./reportPdf"),
        import("../clip/filmsOnPaper"),
      ]);
      await saveReport(
        report,
        films ? await filmsOnPaper(client, films.then, films.now, films.hand, films.catalogue) : [],
      );
    },
  });
  return (
    <div className="no-print mb-4">
      <p className="flex flex-wrap items-center gap-4">
        <Link to={`/lessons/${lessonId}`}>Back to the lesson</Link>
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

function ReportSheet({ report, children }: { report: Report; children: ReactNode }) {
  const { next } = report;
  return (
    <article className="grid gap-4">
      <header className="border-ink flex flex-wrap items-baseline gap-x-4 border-b-2 pb-1">
        <Title>{`Report: ${report.student}`}</Title>
        <h1>{report.student}</h1>
        <p>How it goes, {report.day}</p>
      </header>
      {report.whole && (
        <section>
          <h2>Since {report.whole.since}, when this work began</h2>
          <ul>
            {report.whole.changes.map((change) => (
              <li key={change.name}>
                <strong>{change.name}.</strong> {change.said}
              </li>
            ))}
          </ul>
          {report.whole.gone && <p>{report.whole.gone}</p>}
        </section>
      )}
      {report.faults.length > 0 && (
        <section>
          <h2>What we work on</h2>
          {report.faults.map((fault) => (
            <p key={fault.name}>
              <strong>{fault.name}.</strong> {fault.what}
            </p>
          ))}
        </section>
      )}
      <section>
        <h2>What was practised</h2>
        <p>{report.practised}</p>
        {report.passed.length > 0 && <p>Passed – {report.passed.join("; ")}.</p>}
      </section>
      {(report.changes.length > 0 || report.rest || report.thread) && (
        <section>
          <h2>What changed since last time</h2>
          <ul>
            {report.changes.map((change) => (
              <li key={change.name}>
                <strong>{change.name}.</strong> {change.said}
              </li>
            ))}
          </ul>
          {report.rest && <p>{report.rest}</p>}
          {children}
          {report.thread && (
            <figure className="mt-2">
              <figcaption className="text-soft text-sm">
                {report.thread.series.label}: ● first balls of a lesson, ○ last ones; bars and band: where the
                true value lies with 95 % certainty; strand: practice
              </figcaption>
              <ThreadDrawing thread={report.thread.thread} series={report.thread.series} today={today()} />
            </figure>
          )}
        </section>
      )}
      {next && (
        <section>
          <h2>What to do until {next.until}</h2>
          <p>{next.days}</p>
          <ol className="my-2 grid grid-cols-[repeat(auto-fit,minmax(8rem,1fr))] gap-4">
            {next.steps.map((step) => (
              <li key={step.text} className="grid min-w-0 content-start gap-1 text-center leading-snug">
                {step.drill && (
                  <span className="mx-auto w-32 max-w-full">
                    <BlockGolfer
                      still
                      drill={step.drill}
                      block={step}
                      hand={report.hand}
                      look={report.look}
                    />
                  </span>
                )}
                <span className={step.stopped ? "line-through" : ""}>{step.text}</span>{" "}
                {step.stopped && <strong>{STOPPED}</strong>}
              </li>
            ))}
          </ol>
          {next.before && (
            <p>
              Before the shot: <strong>{next.before}</strong>. After a bad one: {next.after}
            </p>
          )}
        </section>
      )}
      {report.cautions.length > 0 && (
        <section>
          <h2>Take care</h2>
          <ul className="list-disc pl-5 text-sm leading-snug">
            {report.cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </section>
      )}
    </article>
  );
}
