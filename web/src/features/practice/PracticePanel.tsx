import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Practice, Thread } from "@/api/types";
import { Button } from "@/ui/Button";
import { today } from "@/calendar/dates";
import { Failed, Loading, Note } from "@/ui/Notice";
import { FeltSoles } from "./FeltSoles";
import { Notes } from "./Notes";
import { Weeks } from "./Weeks";
import { daysOf, weeksOf } from "./weeks";

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

/** The coach's look at what was practised: pain first, then the gates, then week by week. */
export function PracticePanel({
  studentId,
  catalogue,
  thread,
  hand,
}: {
  studentId: string;
  catalogue: Catalogue;
  thread: Thread;
  hand: Hand;
}) {
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
        <Weeks
          weeks={weeksOf(daysOf(sessions, planned, today(), page === 0, (page + 1) * PAGE >= all))}
          catalogue={catalogue}
        />
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
      <FeltSoles thread={thread} catalogue={catalogue} hand={hand} />
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
