import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useNavigate } from "react-router";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Diagnosis, Lesson } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { Failed } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";

/** Where a lesson is decided on, to be gone to by a key. */
const DECISION = "decision";

/** Moves the focus to the first thing that can be decided now. */
export function goToDecision() {
  document.getElementById(DECISION)?.querySelector<HTMLElement>("a[href], button:not(:disabled)")?.focus();
}

/** Takes the proposed focus, or another with a reason, and hands on to the plan. */
export function Decide({
  lesson,
  catalogue,
  saved,
}: {
  lesson: Lesson;
  catalogue: Catalogue;
  saved: boolean;
}) {
  const [other, setOther] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const label = (id: string) => catalogue.faults.find((f) => f.id === id)?.label ?? id;
  const decide = useMutation({
    mutationFn: (decision: { faults: string[]; reason: string }) =>
      api.put<Lesson>(`/api/lessons/${lesson.id}/focus`, decision),
    onSuccess: (decided) => {
      client.setQueryData(queries.lesson(lesson.id).queryKey, decided);
      client.invalidateQueries({ queryKey: ["students", lesson.studentId] });
      client.invalidateQueries({ queryKey: queries.decisions(lesson.id).queryKey });
      client.invalidateQueries({ queryKey: ["lessons", lesson.id, "climb"] });
      navigate(`/lessons/${lesson.id}/plan`);
    },
  });
  const proposed = lesson.diagnosis.focus;
  return (
    <div className="grid gap-2" id={DECISION}>
      {lesson.focus.length > 0 && (
        <p>
          Decided: <strong>{lesson.focus.map(label).join(", then ")}</strong>
          {lesson.focusReason && <span className="text-soft"> — {lesson.focusReason}</span>}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {lesson.focus.length > 0 && (
          <ButtonLink to={`/lessons/${lesson.id}/plan`} weight="main">
            To the plan
          </ButtonLink>
        )}
        {proposed.length > 0 && proposed.join() !== lesson.focus.join() && (
          <Button
            weight={lesson.focus.length > 0 ? "plain" : "main"}
            disabled={!saved || decide.isPending}
            onClick={() => decide.mutate({ faults: proposed, reason: "" })}
          >
            Work on {proposed.map(label).join(", then ").toLowerCase()}
          </Button>
        )}
        <Button disabled={!saved} onClick={() => setOther(true)}>
          {proposed.length + lesson.focus.length > 0 ? "Choose another" : "Choose what to work on"}
        </Button>
      </div>
      <WhyNotTheFirst diagnosis={lesson.diagnosis} label={label} />
      {decide.isError && !other && <Failed error={decide.error} />}
      <Sheet title="Work on something else" open={other} onOpenChange={setOther}>
        <OtherFocus
          catalogue={catalogue}
          busy={decide.isPending}
          error={decide.error}
          onDecide={(faults, reason) => decide.mutate({ faults, reason })}
        />
      </Sheet>
    </div>
  );
}

/** Why another fault than the most probable one is proposed, where the eye falls on both. */
function WhyNotTheFirst({ diagnosis, label }: { diagnosis: Diagnosis; label: (id: string) => string }) {
  const [first] = diagnosis.focus;
  const [top] = diagnosis.faults;
  if (!first || !top || top.id === first) return null;
  const proposed = diagnosis.faults.find((f) => f.id === first);
  const percent = (p: number) => `${Math.round(p * 100)} %`;
  const most = label(top.id).toLowerCase();
  const reason = brings(diagnosis, first, top.id)
    ? `it brings ${most} about and may take it along`
    : diagnosis.notes.some((note) => note.startsWith("Sore"))
      ? "a sore back points at it"
      : `of what is likely it stands furthest upstream`;
  return (
    <p className="text-soft text-sm">
      {label(first)} first, with {percent(proposed?.probability ?? 0)}, although {most} has{" "}
      {percent(top.probability)}: {reason}.
    </p>
  );
}

/** Whether one fault leads to the other in today's chain. */
function brings({ chain }: Diagnosis, from: string, to: string): boolean {
  const reached = new Set([from]);
  for (let before = 0; before < reached.size;) {
    before = reached.size;
    for (const link of chain) if (reached.has(link.from)) reached.add(link.to);
  }
  return reached.has(to);
}

function OtherFocus({
  catalogue,
  busy,
  error,
  onDecide,
}: {
  catalogue: Catalogue;
  busy: boolean;
  error: Error | null;
  onDecide: (faults: string[], reason: string) => void;
}) {
  const [first, setFirst] = useState("");
  const [second, setSecond] = useState("");
  const [reason, setReason] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onDecide([first, second].filter(Boolean), reason);
  };
  const options = catalogue.faults.map((f) => (
    <option key={f.id} value={f.id}>
      {f.label}
    </option>
  ));
  return (
    <form onSubmit={submit} className="grid gap-4">
      <label className="grid gap-1">
        <span className="font-semibold">First</span>
        <select required value={first} onChange={(e) => setFirst(e.target.value)}>
          <option value="">Choose</option>
          {options}
        </select>
      </label>
      <label className="grid gap-1">
        <span className="font-semibold">Then, if you like</span>
        <select value={second} onChange={(e) => setSecond(e.target.value)}>
          <option value="">Nothing</option>
          {options}
        </select>
      </label>
      <label className="grid gap-1">
        <span className="font-semibold">Why</span>
        <textarea
          rows={2}
          maxLength={500}
          value={reason}
          placeholder="Kept with the lesson"
          onChange={(e) => setReason(e.target.value)}
        />
      </label>
      {error && <Failed error={error} />}
      <Button type="submit" weight="main" disabled={busy || !first}>
        Work on this
      </Button>
    </form>
  );
}
