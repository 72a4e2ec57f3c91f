import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Practice } from "@/api/types";
import { Button } from "@/ui/Button";
import { shortDay } from "@/ui/dates";
import { Failed, Loading, Note } from "@/ui/Notice";
import { FELT } from "./felt";
import { Notes } from "./Notes";

const SHOWN = 8;
const NOTES_SHOWN = 4;
const STANDING: Record<string, string> = {
  passed: "passed",
  waits: "waits for you",
  stay: "in work",
  "step-back": "step back",
};

/** The coach's look at what was practised: pain first, then the gates, then day by day. */
export function PracticePanel({ studentId, catalogue }: { studentId: string; catalogue: Catalogue }) {
  const practice = useQuery(queries.practice(studentId));
  const [all, setAll] = useState(false);
  if (practice.isPending) return <Loading />;
  if (practice.isError) return <Failed error={practice.error} again={() => practice.refetch()} />;
  const { sessions, rungs, stopped } = practice.data;
  const shown = all ? sessions : sessions.slice(0, SHOWN);
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
            {shown.map((session) => (
              <SessionRow key={session.id} session={session} catalogue={catalogue} />
            ))}
          </tbody>
        </table>
      )}
      {!all && sessions.length > SHOWN && (
        <Button weight="quiet" className="justify-self-start" onClick={() => setAll(true)}>
          Show all {sessions.length}
        </Button>
      )}
      <CoachsNotes studentId={studentId} all={all} />
    </section>
  );
}

function CoachsNotes({ studentId, all }: { studentId: string; all: boolean }) {
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
        onAnswer={(session, said) => answer.mutate({ session, said })}
      />
      {answer.isError && <Failed error={answer.error} />}
    </section>
  );
}

function SessionRow({ session, catalogue }: { session: Practice["sessions"][number]; catalogue: Catalogue }) {
  const marks = session.blocks.map((b) => b.marks).join("");
  const good = [...marks].filter((m) => m === "+").length;
  const judged = [...marks].filter((m) => m !== "o").length;
  const checks = session.blocks.filter((b) => b.kind === "check" && b.marks.length >= 10);
  const joint = catalogue.joints.find((j) => j.id === session.pain?.where)?.label.toLowerCase();
  return (
    <tr className="border-line border-b align-baseline">
      <td className="py-1.5 pr-3 whitespace-nowrap">{shortDay(session.day)}</td>
      <td className="pr-3">{marks.length}</td>
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
    other.fault === rung.fault && order.indexOf(other.rung) > order.indexOf(rung.rung);
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
          <span className={`w-24 text-right ${rung.standing === "stay" ? "" : "font-semibold"}`}>
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
