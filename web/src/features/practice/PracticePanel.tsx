import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Practice, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { shortDay, today } from "@/calendar/dates";
import { Failed, Loading, Note } from "@/ui/Notice";
import { FELT } from "./felt";
import { Notes } from "./Notes";
import { Wide } from "@/ui/Wide";

/** As many as the server gives at once. */
const PAGE = 20;
const NOTES_SHOWN = 4;
const STANDING: Record<string, string> = {
  passed: "passed",
  waits: "waits for you",
  stay: "in work",
  reopened: "open again, after a step back",
  "step-back": "step back",
};

/** The coach's look at what was practised: pain first, then the gates, then day by day. */
export function PracticePanel({ studentId, catalogue }: { studentId: string; catalogue: Catalogue }) {
  const [page, setPage] = useState(0);
  const practice = useQuery(queries.practice(studentId, page));
  const planned = useQuery(queries.planned(studentId)).data ?? [];
  if (practice.isPending) return <Loading />;
  if (practice.isError) return <Failed error={practice.error} again={() => practice.refetch()} />;
  const { sessions, rungs, stopped, all } = practice.data;
  return (
    <section aria-labelledby="practice" className="grid content-start gap-4">
      <h2 id="practice">Practice</h2>
      {stopped.map((drill) => (
        <Stopped
          key={drill}
          studentId={studentId}
          drill={drill}
          practice={practice.data}
          catalogue={catalogue}
        />
      ))}
      {sessions.length === 0 && <p className="text-soft">Nothing practised yet.</p>}
      {rungs.length > 0 && <Gates rungs={rungs} catalogue={catalogue} />}
      {sessions.length > 0 && (
        <Wide label="Practice day by day">
          <table className="w-full border-collapse text-left">
            <caption className="sr-only">Practice, latest first</caption>
            <thead className="text-soft border-strong-line border-b text-sm">
              <tr>
                <th className="py-1 font-normal">Day</th>
                <th className="py-1 font-normal">Reps</th>
                <th className="py-1 font-normal">Good</th>
                <th className="py-1 font-normal">Check</th>
                <th className="py-1 font-normal">Felt</th>
                <th className="py-1 font-normal">Pain</th>
              </tr>
            </thead>
            <tbody>
              {daysOf(sessions, planned, page === 0, (page + 1) * PAGE >= all).map((day) =>
                day.session ? (
                  <SessionRow
                    key={day.session.id}
                    session={day.session}
                    planned={day.planned}
                    catalogue={catalogue}
                  />
                ) : (
                  <tr key={day.date} className="border-line text-soft border-b">
                    <td className="py-1.5 pr-3 whitespace-nowrap">{shortDay(day.date)}</td>
                    <td colSpan={5}>not practised; {day.planned} reps were planned</td>
                  </tr>
                ),
              )}
            </tbody>
          </table>
        </Wide>
      )}
      {all > PAGE && (
        <nav aria-label="Pages of practice" className="no-print flex items-center gap-3">
          <Button weight="quiet" disabled={page === 0} onClick={() => setPage(page - 1)}>
            Later
          </Button>
          <span className="text-soft">
            {page * PAGE + 1} to {Math.min(all, (page + 1) * PAGE)} of {all} days
          </span>
          <Button weight="quiet" disabled={(page + 1) * PAGE >= all} onClick={() => setPage(page + 1)}>
            Earlier
          </Button>
        </nav>
      )}
      <CoachsNotes studentId={studentId} />
    </section>
  );
}

function CoachsNotes({ studentId }: { studentId: string }) {
  const [all, setAll] = useState(false);
  const client = useQueryClient();
  const notes = useQuery(queries.notes(studentId));
  const answer = useMutation({
    mutationFn: ({ session, said }: { session: string; said: string }) =>
      api.post(`/api/students/${studentId}/notes/${session}/answers`, { said }),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["students", studentId, "notes"] });
      void client.invalidateQueries({ queryKey: ["day"] });
    },
  });
  if (!notes.data || notes.data.length === 0) return null;
  return (
    <section aria-labelledby="notes">
      <h2 id="notes">Notes</h2>
      <Notes
        mine="coach"
        threads={all ? notes.data : notes.data.slice(0, NOTES_SHOWN)}
        busy={answer.isPending}
        onAnswer={(session, said, onSuccess) => answer.mutate({ session, said }, { onSuccess })}
      />
      {!all && notes.data.length > NOTES_SHOWN && (
        <Button weight="quiet" onClick={() => setAll(true)}>
          Earlier notes
        </Button>
      )}
      {answer.isError && <Failed error={answer.error} />}
    </section>
  );
}

/** What was noticed in a block: how often each answer, or the mean of the numbers. */
function noticedIn(block: Practice["sessions"][number]["blocks"][number], catalogue: Catalogue): string[] {
  const drill = catalogue.drills[block.drill];
  const said = block.noticed.filter((n) => n !== "");
  const notice = catalogue.notices.find((n) => n.id === drill?.notice);
  if (!drill || !notice || said.length === 0) return [];
  if (notice.unit) {
    const mean = said.reduce((sum, n) => sum + Number(n), 0) / said.length;
    return [`${drill.name}: ${mean.toFixed(1)} ${notice.unit} in the mean of ${said.length} sets`];
  }
  const counts = notice.answers
    .map((a) => ({ label: a.label.toLowerCase(), count: said.filter((n) => n === a.id).length }))
    .filter((a) => a.count > 0)
    .map((a) => `${a.label} ${a.count} of ${said.length}`);
  return [`${drill.name}: ${counts.join(", ")}`];
}

type Session = Practice["sessions"][number];
type Day = { date: string; session?: Session; planned?: number };

/** The days practised, and between them those that were planned and let pass. */
function daysOf(sessions: Session[], planned: Wire["PlannedDay"][], first: boolean, last: boolean): Day[] {
  const reps = new Map(planned.map((p) => [p.date, p.reps]));
  const done = sessions.map((s) => ({ date: s.day, session: s, planned: reps.get(s.day) }));
  const days = new Set(sessions.map((s) => s.day));
  // The latest planned day may be a day ahead of the coach's: it is the student's today.
  const now = [today(), planned[0]?.date ?? ""].sort()[1]!;
  const [newest, oldest] = [first ? now : sessions[0]!.day, last ? "" : sessions.at(-1)!.day];
  const missed = planned
    .filter((p) => !days.has(p.date) && p.date < newest && p.date > oldest)
    .map((p) => ({ date: p.date, planned: p.reps }));
  return [...done, ...missed].sort((a, b) => b.date.localeCompare(a.date));
}

function SessionRow({
  session,
  planned,
  catalogue,
}: {
  session: Session;
  planned?: number;
  catalogue: Catalogue;
}) {
  const marks = session.blocks.map((b) => b.marks).join("");
  const good = [...marks].filter((m) => m === "+").length;
  const judged = [...marks].filter((m) => m !== "o").length;
  const checks = session.blocks.filter((b) => b.kind === "check" && b.marks.length >= 10);
  const joint = catalogue.joints.find((j) => j.id === session.pain?.where)?.label.toLowerCase();
  const noticed = session.blocks.flatMap((b) => noticedIn(b, catalogue));
  return (
    <tr className="border-line border-b align-baseline">
      <td className="py-1.5 pr-3">
        <span className="whitespace-nowrap">{shortDay(session.day)}</span>
        {session.earlierPlan && <span className="text-soft block text-sm">by the plan as it was before</span>}
        {noticed.map((said) => (
          <span key={said} className="text-soft block text-sm">
            {said}
          </span>
        ))}
      </td>
      <td className="pr-3 whitespace-nowrap">
        {marks.length}
        {planned !== undefined && <span className="text-soft"> of {planned}</span>}
      </td>
      <td className="pr-3 whitespace-nowrap">
        {judged > 0 ? `${Math.round((100 * good) / judged)} %` : "–"}
      </td>
      <td className="pr-3 whitespace-nowrap">
        {checks
          .map((b) => `${[...b.marks].filter((m) => m === "+").length} of ${b.marks.length}`)
          .join(", ") || "–"}
      </td>
      <td className="pr-3 whitespace-nowrap">{session.feel ? FELT[session.feel] : "–"}</td>
      <td>
        {session.pain && (
          <strong className="text-alert">
            Pain {session.pain.score} of 10, {joint}
          </strong>
        )}
      </td>
    </tr>
  );
}

/** A rung that was left for a higher one without its gate is not called in work. */
function standing(rung: Practice["rungs"][number], all: Practice["rungs"], order: string[]): string {
  const higher = (other: typeof rung) =>
    other.fault === rung.fault &&
    other.standing !== "step-back" &&
    order.indexOf(other.rung) > order.indexOf(rung.rung);
  return rung.standing === "stay" && all.some(higher)
    ? "moved on"
    : (STANDING[rung.standing] ?? rung.standing);
}

function Gates({ rungs, catalogue }: { rungs: Practice["rungs"]; catalogue: Catalogue }) {
  return (
    <ul className="grid gap-1">
      {rungs.map((rung) => (
        <li key={rung.fault + rung.rung} className="flex flex-wrap items-baseline gap-x-3">
          <span className="w-28 font-semibold">{catalogue.rungs.find((r) => r.id === rung.rung)?.label}</span>
          <span className="text-soft">{catalogue.drills[rung.drill]?.name}</span>
          <span className="ml-auto tracking-wide">
            {rung.sets
              .slice(-6)
              .map((s) => s.good)
              .join(" · ")}
          </span>
          <span className={`min-w-24 text-right ${rung.standing === "stay" ? "" : "font-semibold"}`}>
            {standing(
              rung,
              rungs,
              catalogue.rungs.map((r) => r.id),
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}

function Stopped({
  studentId,
  drill,
  practice,
  catalogue,
}: {
  studentId: string;
  drill: string;
  practice: Practice;
  catalogue: Catalogue;
}) {
  const client = useQueryClient();
  const lift = useMutation({
    mutationFn: () => api.delete<void>(`/api/students/${studentId}/stops/${drill}`),
    onSuccess: () => client.invalidateQueries({ queryKey: ["students"] }),
  });
  const pain = practice.sessions.find((s) => s.pain?.drill === drill)?.pain;
  const joint = catalogue.joints.find((j) => j.id === pain?.where)?.label.toLowerCase();
  return (
    <Note tone="alert">
      <p className="font-semibold">
        {catalogue.drills[drill]?.name} is stopped
        {pain ? `: pain ${pain.score} of 10, ${joint}` : ""}.
      </p>
      <p>
        Pain that stays goes to a doctor or physiotherapist. Lift the stop only when you have talked about it.
      </p>
      <Button className="mt-2" disabled={lift.isPending} onClick={() => lift.mutate()}>
        Lift the stop
      </Button>
      {lift.isError && <Failed error={lift.error} />}
    </Note>
  );
}
