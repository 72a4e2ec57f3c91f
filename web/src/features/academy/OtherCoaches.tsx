import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { X } from "lucide-react";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import { longDay, moment, plusDays, today } from "@/calendar/dates";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import { Failed } from "@/ui/Notice";
import { CoachPick } from "./AcademyPage";

const USUAL_DAYS = 14;

/** A student and the other coaches: who stands in, what they did, and handing over. */
export function OtherCoaches({ studentId }: { studentId: string }) {
  const academy = useQuery(queries.academy());
  const others = academy.data?.coaches.filter((c) => !c.you && !c.left) ?? [];
  const offered = academy.data?.handovers.find((h) => h.studentId === studentId);
  if (others.length === 0) return null;
  return (
    <section aria-labelledby="other-coaches" className="border-line grid gap-5 border-t pt-5">
      <h2 id="other-coaches">Other coaches</h2>
      <div className="grid gap-x-12 gap-y-6 lg:grid-cols-2">
        <StandIns studentId={studentId} others={others} />
        <HandOver studentId={studentId} others={others} offered={offered} />
      </div>
      <Accesses studentId={studentId} />
    </section>
  );
}

function StandIns({ studentId, others }: { studentId: string; others: Wire["CoachView"][] }) {
  const standIns = useQuery(queries.standIns(studentId));
  const [coach, setCoach] = useState("");
  const [until, setUntil] = useState(plusDays(today(), USUAL_DAYS));
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: queries.standIns(studentId).queryKey });
  const path = `/api/students/${studentId}/stand-ins`;
  const grant = useMutation({
    mutationFn: () => api.post<Wire["StandIn"][]>(path, { coachId: coach, until }),
    onSuccess: () => {
      setCoach("");
      return refresh();
    },
  });
  const end = useMutation({ mutationFn: (id: string) => api.delete(`${path}/${id}`), onSuccess: refresh });
  return (
    <div className="grid content-start gap-3">
      <h3>Standing in for you</h3>
      <p className="text-soft">
        May see and teach this student until that day, and not erase, take out or hand over the record.
      </p>
      {(standIns.data ?? []).map((s) => (
        <p key={s.coachId} className="flex items-center gap-2">
          <strong>{s.coach}</strong> until {longDay(s.until)}
          <IconButton
            label={`End it for ${s.coach}`}
            disabled={end.isPending}
            onClick={() => end.mutate(s.coachId)}
          >
            <X aria-hidden className="size-4" />
          </IconButton>
        </p>
      ))}
      <div className="flex flex-wrap items-end gap-3">
        <CoachPick label="Coach" list={others} value={coach} onPick={setCoach} />
        <label className="grid gap-1">
          <span className="font-semibold">Until</span>
          <input
            type="date"
            className="min-h-11"
            min={today()}
            value={until}
            onChange={(e) => setUntil(e.target.value)}
          />
        </label>
        <Button disabled={!coach || !until || grant.isPending} onClick={() => grant.mutate()}>
          Let stand in
        </Button>
      </div>
      {grant.isError && <Failed error={grant.error} />}
      {end.isError && <Failed error={end.error} />}
    </div>
  );
}

function HandOver({
  studentId,
  others,
  offered,
}: {
  studentId: string;
  others: Wire["CoachView"][];
  offered?: Wire["Handover"];
}) {
  const [coach, setCoach] = useState("");
  const [words, setWords] = useState("");
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: queries.academy().queryKey });
  const path = `/api/students/${studentId}/handover`;
  const offer = useMutation({
    mutationFn: () => api.put<Wire["Handover"]>(path, { coachId: coach, words }),
    onSuccess: refresh,
  });
  const withdraw = useMutation({ mutationFn: () => api.delete(path), onSuccess: refresh });
  if (offered) {
    return (
      <div className="grid content-start justify-items-start gap-3">
        <h3>Handing over</h3>
        <p>
          Offered to <strong>{offered.to}</strong>, who has not answered yet. Until then the student stays
          yours.
        </p>
        <Button disabled={withdraw.isPending} onClick={() => withdraw.mutate()}>
          Take it back
        </Button>
        {withdraw.isError && <Failed error={withdraw.error} />}
      </div>
    );
  }
  return (
    <div className="grid content-start gap-3">
      <h3>Handing over</h3>
      <p className="text-soft">For good, with the whole history, once the other coach agrees.</p>
      <div className="flex flex-wrap items-end gap-3">
        <CoachPick label="To" list={others} value={coach} onPick={setCoach} />
        <label className="grid flex-1 gap-1">
          <span className="font-semibold">A word about it</span>
          <input
            className="min-h-11"
            maxLength={500}
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        </label>
        <Button disabled={!coach || offer.isPending} onClick={() => offer.mutate()}>
          Offer
        </Button>
      </div>
      {offer.isError && <Failed error={offer.error} />}
    </div>
  );
}

const PLACES: Record<string, string> = {
  student: "the student's page",
  lesson: "a lesson",
  plan: "the plan",
  practice: "practice",
  progress: "progress",
  balls: "measured balls",
  notes: "notes",
  approach: "the approach",
  list: "the list of who needs a coach",
};

function Accesses({ studentId }: { studentId: string }) {
  const accesses = useQuery(queries.accesses(studentId));
  const list = accesses.data ?? [];
  if (list.length === 0) return null;
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2">
        What other coaches did with this student ({list.length} {list.length === 1 ? "entry" : "entries"})
      </summary>
      <ul className="max-w-3xl">
        {list.map((a, i) => (
          <li key={i} className="border-line flex flex-wrap gap-x-3 border-b py-1">
            <span className="text-soft w-40">{moment(a.lastAt)}</span>
            <span>
              {a.coach} {a.what === "changed" ? "changed" : "looked at"} {PLACES[a.place] ?? a.place}
              {a.times > 1 && `, ${a.times} times that day`}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
