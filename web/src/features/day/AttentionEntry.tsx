import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Lesson, Wire } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { shortDay } from "@/calendar/dates";
import { Failed } from "@/ui/Notice";
import { InviteSheet } from "../invite/InviteSheet";
import { AnswerForm } from "../practice/AnswerForm";
import { signGate } from "../practice/signGate";
import { type Eased, MakeSmaller } from "./SmallerPlan";

type Entry = Wire["AttentionView"];

/** What wants the coach, in a word. */
export const KIND: Record<string, string> = {
  pain: "Pain",
  lost: "Lost twice",
  stuck: "Stuck",
  strike: "Strike",
  noticed: "Feels it otherwise",
  absent: "No practice",
  "not-invited": "Not invited",
  "not-opened": "Not opened",
  "gate-waits": "Gate waits",
  "ball-missing": "A ball missing",
  "plan-over": "Plan ended",
  note: "Note",
  film: "Film",
};

/** One entry of the list, settled in place. */
export function AttentionEntry({
  entry,
  catalogue,
  onEased,
}: {
  entry: Entry;
  catalogue: Catalogue;
  onEased: (eased: Eased) => void;
}) {
  const client = useQueryClient();
  const settle = useMutation({
    mutationFn: (request: () => Promise<unknown>) => request(),
    onSuccess: () => {
      for (const key of ["day", "students", "lessons", "plans"])
        void client.invalidateQueries({ queryKey: [key] });
    },
  });
  const seen = () =>
    api.post("/api/day/seen", { studentId: entry.studentId, kind: entry.kind, key: entry.key });
  // What was noticed names its drill itself.
  const drill =
    entry.drill && entry.kind !== "noticed" ? `${catalogue.drills[entry.drill]?.name ?? entry.drill}. ` : "";
  return (
    <li className="border-line grid gap-1 border-b py-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <span className={`w-28 font-semibold ${entry.kind === "pain" ? "text-alert" : ""}`}>
          {KIND[entry.kind]}
        </span>
        <Link
          to={`/students/${entry.studentId}`}
          className="min-w-40 font-serif text-lg font-semibold no-underline"
        >
          {entry.student}
        </Link>
        <p className="min-w-64 flex-1">
          {drill}
          {entry.reason} <span className="text-soft whitespace-nowrap">{shortDay(entry.since)}</span>
        </p>
        <span className="flex flex-wrap gap-2">
          <Action entry={entry} busy={settle.isPending} settle={settle.mutate} onEased={onEased} />
          {entry.kind !== "pain" && (
            <Button weight="quiet" disabled={settle.isPending} onClick={() => settle.mutate(seen)}>
              Seen
            </Button>
          )}
        </span>
      </div>
      {entry.kind === "pain" && (
        <p className="text-soft pl-32 text-sm">
          Lift the stop only when you have talked; pain that stays goes to a doctor or physiotherapist.
        </p>
      )}
      {entry.kind === "note" && (
        <div className="pl-32">
          <AnswerForm
            label={`Answer ${entry.student}`}
            busy={settle.isPending}
            onAnswer={(said) =>
              settle.mutate(() =>
                api.post(`/api/students/${entry.studentId}/notes/${entry.session}/answers`, { said }),
              )
            }
          />
        </div>
      )}
      {settle.isError && <Failed error={settle.error} />}
    </li>
  );
}

type Settle = (request: () => Promise<unknown>) => void;

/** The one action that settles it. */
function Action({
  entry,
  busy,
  settle,
  onEased,
}: {
  entry: Entry;
  busy: boolean;
  settle: Settle;
  onEased: (eased: Eased) => void;
}) {
  const navigate = useNavigate();
  const client = useQueryClient();
  switch (entry.kind) {
    case "pain":
      return (
        <Button
          disabled={busy}
          onClick={() => settle(() => api.delete(`/api/students/${entry.studentId}/stops/${entry.drill}`))}
        >
          Lift the stop
        </Button>
      );
    case "absent":
      if (!entry.planId) return null;
      // Asked for less already: what else is to be done is a word with the student.
      return entry.easedOn ? (
        <span className="text-soft self-center">smaller since {shortDay(entry.easedOn)}</span>
      ) : (
        <MakeSmaller planId={entry.planId} student={entry.student} onEased={onEased} />
      );
    case "gate-waits":
      return (
        <Button
          disabled={busy}
          onClick={() => settle(() => signGate(entry.studentId, { fault: entry.fault!, rung: entry.rung! }))}
        >
          Sign the gate
        </Button>
      );
    case "plan-over":
      return (
        <Button
          disabled={busy}
          onClick={() =>
            settle(async () => {
              const lesson = await api.post<Lesson>(`/api/students/${entry.studentId}/lessons`);
              client.setQueryData(queries.lesson(lesson.id).queryKey, lesson);
              navigate(`/lessons/${lesson.id}`);
            })
          }
        >
          Begin a lesson
        </Button>
      );
    case "film":
      return <ButtonLink to={`/students/${entry.studentId}/films/${entry.session}`}>Look at it</ButtonLink>;
    case "strike":
    case "noticed":
      return <ButtonLink to={`/students/${entry.studentId}#practice`}>Look at the practice</ButtonLink>;
    case "not-invited":
    case "not-opened":
      return <InviteSheet studentId={entry.studentId} name={entry.student} />;
    case "lost":
    case "stuck":
    case "ball-missing":
      return entry.lessonId ? (
        <ButtonLink to={`/lessons/${entry.lessonId}/plan`}>
          {entry.kind === "stuck" ? "Swap the drill" : "Look at the plan"}
        </ButtonLink>
      ) : null;
    default:
      return null;
  }
}
