import { useQuery } from "@tanstack/react-query";
import { AlertTriangle, Plus } from "lucide-react";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { queries } from "@/api/queries";
import type { RosterLine, Wire } from "@/api/types";
import { ButtonLink } from "@/ui/Button";
import { daysBetween, shortDay } from "@/calendar/dates";
import { Empty, Failed, Loading } from "@/ui/Notice";
import { KIND as WANTS } from "../day/AttentionEntry";
import { TakeRecord } from "./RecordTools";
import { Strand } from "./Strand";
import { fold } from "@/ui/fold";
import { Title } from "@/ui/Title";
import { Wide } from "@/ui/Wide";

/** All students, those who hurt and those whose lesson is due first. */
export default function RosterPage() {
  const roster = useQuery(queries.roster());
  const strands = useQuery(queries.strands()).data ?? [];
  const [search, setSearch] = useState("");
  const [params, setParams] = useSearchParams();
  const order = ORDERS.find((o) => o.id === params.get("by"))?.id ?? "needs";
  if (roster.isPending) return <Loading />;
  if (roster.isError) return <Failed error={roster.error} again={() => roster.refetch()} />;
  const found = roster.data.filter((s) => fold(s.name).includes(fold(search.trim())));
  return (
    <div className="grid gap-5">
      <div className="flex flex-wrap items-center gap-4">
        <Title>Students</Title>
        <h1>Students</h1>
        <input
          type="search"
          aria-label="Find a student"
          placeholder="Find by name"
          className="ml-auto min-h-11 w-56"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
        />
        <label className="flex items-center gap-2">
          <span className="text-soft text-sm">by</span>
          <select
            aria-label="Order"
            className="min-h-11"
            value={order}
            onChange={(e) => setParams({ by: e.target.value }, { replace: true })}
          >
            {ORDERS.map((o) => (
              <option key={o.id} value={o.id}>
                {o.label}
              </option>
            ))}
          </select>
        </label>
        <TakeRecord />
        <ButtonLink to="/students/new" weight="main">
          <Plus aria-hidden className="size-4" /> New student
        </ButtonLink>
      </div>
      {roster.data.length === 0 && (
        <Empty>
          <p>No students yet. The first one takes a minute: a name, a hand, a week.</p>
        </Empty>
      )}
      {roster.data.length > 0 && found.length === 0 && (
        <Empty>
          <p>Nobody is called “{search}”.</p>
        </Empty>
      )}
      {found.length > 0 && (
        <Wide label="Students">
          <table className="w-full border-collapse text-left">
            <thead className="text-soft border-strong-line border-b text-sm">
              <tr>
                <th className="py-2 font-normal">Student</th>
                <th className="py-2 font-normal">Comes with</th>
                <th className="py-2 font-normal">Last lesson</th>
                <th className="py-2 font-normal">Next</th>
                <th className="py-2 font-normal">Last practice</th>
                <th className="py-2 font-normal">Six weeks</th>
                <th className="py-2 font-normal">Last verdict</th>
              </tr>
            </thead>
            <tbody>
              {inOrder(found, strands, order).map(({ student, strand }) => (
                <tr key={student.id} className="border-line hover:bg-tint border-b">
                  <td className="py-2.5 pr-3">
                    <Link
                      to={`/students/${student.id}`}
                      className="font-serif text-lg font-semibold no-underline"
                    >
                      {student.name}
                    </Link>
                    {student.coach && <span className="text-soft ml-3 text-sm">of {student.coach}</span>}
                    {student.hurt ? (
                      <span className="text-alert ml-3 inline-flex items-center gap-1 font-semibold">
                        <AlertTriangle aria-hidden className="size-4" /> pain
                      </span>
                    ) : (
                      strand?.wants && (
                        <span className="text-warn ml-3 text-sm font-semibold">
                          {WANTS[strand.wants]?.toLowerCase()}
                        </span>
                      )
                    )}
                  </td>
                  <td className="text-soft pr-3">{student.complaint}</td>
                  <td className="pr-3 whitespace-nowrap">
                    {student.lastLesson ? shortDay(student.lastLesson) : "–"}
                  </td>
                  <td className="pr-3 whitespace-nowrap">
                    <NextLesson date={student.nextLesson} today={student.today} />
                  </td>
                  <td className="pr-3 whitespace-nowrap">
                    {student.lastPractice ? ago(student.lastPractice, student.today) : "–"}
                  </td>
                  <td className="pr-3">{strand && <Strand weeks={strand.weeks} />}</td>
                  <td>{strand?.last && <LastVerdict last={strand.last} />}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Wide>
      )}
    </div>
  );
}

function NextLesson({ date, today }: { date?: string | null; today: string }) {
  if (!date) return <span className="text-soft">no plan</span>;
  const days = daysBetween(today, date);
  if (days === 0) return <strong>today</strong>;
  return days < 0 ? <span className="text-warn">was {shortDay(date)}</span> : <>{shortDay(date)}</>;
}

function ago(day: string, today: string): string {
  const days = daysBetween(day, today);
  if (days <= 0) return "today";
  return days === 1 ? "yesterday" : `${days} days ago`;
}

type StrandLine = Wire["StrandView"];

const ORDERS = [
  { id: "needs", label: "who needs you" },
  { id: "lesson", label: "next lesson" },
  { id: "name", label: "name" },
];

function inOrder(students: RosterLine[], strands: StrandLine[], order: string) {
  const due = (s: RosterLine) => s.nextLesson ?? "9999";
  const name = (a: RosterLine, b: RosterLine) => a.name.localeCompare(b.name);
  const lines = students.map((student) => ({
    student,
    strand: strands.find((s) => s.studentId === student.id),
  }));
  const urgency = ({ student, strand }: (typeof lines)[number]) =>
    student.hurt ? -1 : (strand?.urgency ?? Number.MAX_SAFE_INTEGER);
  return lines.sort((a, b) => {
    if (order === "name") return name(a.student, b.student);
    const later = due(a.student).localeCompare(due(b.student)) || name(a.student, b.student);
    return order === "lesson" ? later : urgency(a) - urgency(b) || later;
  });
}

function LastVerdict({ last }: { last: NonNullable<StrandLine["last"]> }) {
  return (
    <span className={last.verdict === "cannot-tell" ? "text-soft" : "font-semibold"}>
      {last.name}: {VERDICT[last.verdict]}
    </span>
  );
}

const VERDICT: Record<string, string> = {
  better: "better",
  worse: "worse",
  "no-change": "no change worth having",
  "cannot-tell": "not told yet",
};
