import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import { shortDay } from "@/calendar/dates";
import { Empty, Failed, Loading } from "@/ui/Notice";
import { said } from "./ProposalPanel";
import { Title } from "@/ui/Title";
import { Wide } from "@/ui/Wide";

const OUTCOME: Record<string, string> = {
  "borne-out": "borne out",
  not: "not borne out",
  open: "not told yet",
};

/** How often a coach took what was proposed, and how often the next lesson bore it out. */
export default function ProposalsPage() {
  const record = useQuery(queries.proposals());
  if (record.isPending) return <Loading />;
  if (record.isError) return <Failed error={record.error} again={() => record.refetch()} />;
  const { answers, lines, recent } = record.data;
  return (
    <div className="grid gap-6">
      <header>
        <Title>How proposals went</Title>
        <h1>How proposals went</h1>
        <p className="text-soft max-w-3xl">
          Borne out: at the next lesson's first balls something that was worked on is better by more than
          chance, and nothing is worse. Few cases prove little.
        </p>
      </header>
      {answers === 0 ? (
        <Empty>
          <p>Nothing was proposed and answered yet. From a student's second lesson on, it is.</p>
        </Empty>
      ) : (
        <>
          <Lines lines={lines} answers={answers} />
          <section aria-labelledby="recent">
            <h2 id="recent">The latest</h2>
            <ul>
              {recent.map((one) => (
                <li key={one.lessonId} className="border-line flex flex-wrap gap-x-4 border-b py-1.5">
                  <Link to={`/lessons/${one.lessonId}?view=since`} className="w-48">
                    {one.student}
                    {one.heldOn && `, ${shortDay(one.heldOn)}`}
                  </Link>
                  <span className="flex-1">
                    {said(one.answer)}
                    {one.answer.reason && <span className="text-soft"> {one.answer.reason}</span>}
                  </span>
                  <span className={one.outcome === "open" ? "text-soft" : "font-semibold"}>
                    {OUTCOME[one.outcome]}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        </>
      )}
    </div>
  );
}

function Lines({ lines, answers }: { lines: Wire["KindLine"][]; answers: number }) {
  return (
    <Wide label="How proposals went">
      <table className="w-full border-collapse text-left">
        <caption className="text-soft text-left text-sm">
          From the latest {answers} {answers === 1 ? "answer" : "answers"}
        </caption>
        <thead className="text-soft border-strong-line border-b text-sm">
          <tr>
            {[
              "Proposed",
              "Times",
              "Taken",
              "Changed",
              "Refused",
              "Taken and borne out",
              "Not taken, better anyway",
            ].map((head) => (
              <th key={head} className="py-1 pr-3 font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.kind.id} className="border-line border-b">
              <td className="py-1.5 pr-3">{line.kind.label}</td>
              <td>{line.proposed}</td>
              <td>{line.taken}</td>
              <td>{line.changed}</td>
              <td>{line.refused}</td>
              <td className="font-semibold">{ofSome(line.takenBorneOut, line.takenTold)}</td>
              <td>{ofSome(line.otherBorneOut, line.otherTold)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

function ofSome(hits: number, of: number): string {
  return of === 0 ? "not told yet" : `${hits} of ${of}`;
}
