import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Lesson, Wire } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { longDay } from "@/calendar/dates";
import { Empty, Failed, Loading } from "@/ui/Notice";
import { FELT } from "../practice/felt";
import { OfferedToMe } from "../academy/Handovers";
import { AttentionEntry } from "./AttentionEntry";
import { type Eased, EasedNote } from "./SmallerPlan";
import { Title } from "@/ui/Title";

/** The coach's day: its lessons with what was done for them, and who needs a word between lessons. */
export default function DayPage() {
  const [all, setAll] = useState(false);
  const [eased, setEased] = useState<Eased | null>(null);
  const day = useQuery(queries.day(all ? 10_000 : undefined));
  const session = useQuery(queries.session());
  const catalogue = useCatalogue("right");
  if (day.isPending || catalogue.isPending) return <Loading />;
  if (day.isError) return <Failed error={day.error} again={() => day.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const { date, students, lessons, attention, waiting } = day.data;
  if (students === 0 && attention.length === 0) {
    return (
      <div className="grid gap-6">
        <OfferedToMe />
        <Empty>
          <p>No students yet. The first one takes a minute: a name, a hand, a week.</p>
          <ButtonLink to="/students/new" weight="main">
            New student
          </ButtonLink>
        </Empty>
      </div>
    );
  }
  return (
    <div className="grid gap-8">
      <div className="flex flex-wrap items-center gap-4">
        <Title>Today</Title>
        <h1>{longDay(date)}</h1>
        {(session.data?.demo.length ?? 0) > 0 && <NextDay />}
        <Link to="/outbox" className="ml-auto">
          Outbox
        </Link>
      </div>
      <OfferedToMe />
      <section aria-labelledby="lessons">
        <h2 id="lessons" className="mb-2">
          Lessons today
        </h2>
        {lessons.length === 0 && (
          <p className="text-soft">No plan leads to today. A lesson begins on the student's page.</p>
        )}
        <ul>
          {lessons.map((due) => (
            <Due key={due.studentId} due={due} catalogue={catalogue.data} />
          ))}
        </ul>
      </section>
      <section aria-labelledby="attention">
        <h2 id="attention" className="mb-2">
          Who needs you
        </h2>
        {eased && <EasedNote eased={eased} onUndone={() => setEased(null)} />}
        {attention.length === 0 ? (
          <Empty>
            <p>Nobody, as far as their practice tells.</p>
          </Empty>
        ) : (
          <ul>
            {attention.map((entry) => (
              <AttentionEntry
                key={entry.studentId + entry.kind + entry.key}
                entry={entry}
                catalogue={catalogue.data}
                onEased={setEased}
              />
            ))}
          </ul>
        )}
        {attention.length < waiting && (
          <Button weight="quiet" className="mt-2" onClick={() => setAll(true)}>
            Show the other {waiting - attention.length}
          </Button>
        )}
      </section>
    </div>
  );
}

function Due({ due, catalogue }: { due: Wire["DueView"]; catalogue: Catalogue }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const begin = useMutation({
    mutationFn: () => api.post<Lesson>(`/api/students/${due.studentId}/lessons`),
    onSuccess: (lesson) => {
      client.setQueryData(queries.lesson(lesson.id).queryKey, lesson);
      client.invalidateQueries({ queryKey: ["students"] });
      client.invalidateQueries({ queryKey: ["day"] });
      navigate(`/lessons/${lesson.id}?view=since`);
    },
  });
  const rung = (id: string) => catalogue.rungs.find((r) => r.id === id)?.label.toLowerCase();
  const passed = due.rungs.filter((r) => r.standing === "passed").map((r) => rung(r.rung));
  return (
    <li className="border-line flex flex-wrap items-center gap-x-6 gap-y-1 border-b py-3">
      <div className="min-w-56">
        <Link to={`/students/${due.studentId}`} className="font-serif text-lg font-semibold no-underline">
          {due.student}
        </Link>
        <p className="text-soft">
          {due.focus
            .map((f) => catalogue.faults.find((x) => x.id === f)?.label)
            .join(", then ")
            .toLowerCase()}
        </p>
      </div>
      <p>
        <strong>
          {due.done.doneDays} of {due.done.plannedDays} days
        </strong>
        , {due.done.doneReps} reps
        {due.feel ? `, last felt ${FELT[due.feel]}` : ""}
        <span className="text-soft block">
          {passed.length > 0 ? `Passed: ${passed.join(", ")}` : "No gate passed yet"}
        </span>
      </p>
      <span className="ml-auto">
        {due.lessonId ? (
          <ButtonLink to={`/lessons/${due.lessonId}`}>Go on with the lesson</ButtonLink>
        ) : (
          <Button weight="main" disabled={begin.isPending} onClick={() => begin.mutate()}>
            Begin the lesson
          </Button>
        )}
      </span>
      {begin.isError && <Failed error={begin.error} />}
    </li>
  );
}

/** Only in the demo: the next day comes at once. */
function NextDay() {
  const client = useQueryClient();
  const next = useMutation({
    mutationFn: () => api.post<void>("/api/demo/next-day"),
    onSuccess: async () => {
      await client.refetchQueries({ queryKey: ["session"] });
      await client.invalidateQueries();
    },
  });
  return (
    <Button weight="quiet" className="ml-auto" disabled={next.isPending} onClick={() => next.mutate()}>
      Demo: on to the next day
    </Button>
  );
}
