import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api } from "@/api/client";
import { LESSONS, queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Hand, Lesson, StudentProfile, Thread } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { longDay, today } from "@/calendar/dates";
import { Empty, Failed, Loading } from "@/ui/Notice";
import { SentFilms } from "../clip/SentFilms";
import { PracticePanel } from "../practice/PracticePanel";
import { WantedSwing } from "../golfer/WantedSwing";
import { ThreadPicture } from "../progress/ThreadPicture";
import { InviteSheet } from "../invite/InviteSheet";
import { Title } from "@/ui/Title";

/** A student: the thread of lessons, what was practised, and the way into the next lesson. */
export default function StudentPage() {
  const id = useParams().id as string;
  const student = useQuery(queries.student(id));
  const [last, setLast] = useState(LESSONS);
  const thread = useQuery(queries.thread(id, last));
  const catalogue = useCatalogue(student.data?.profile.handedness);
  const navigate = useNavigate();
  const client = useQueryClient();
  const begin = useMutation({
    mutationFn: () => api.post<Lesson>(`/api/students/${id}/lessons`),
    onSuccess: (lesson) => {
      client.setQueryData(queries.lesson(lesson.id).queryKey, lesson);
      client.invalidateQueries({ queryKey: ["students", id] });
      // A next lesson opens with what became of the last one.
      navigate(`/lessons/${lesson.id}${thread.data?.all ? "?view=since" : ""}`);
    },
  });
  const own = student.data?.own ?? false;
  if (student.isPending || thread.isPending || catalogue.isPending) return <Loading />;
  if (student.isError) return <Failed error={student.error} again={() => student.refetch()} />;
  if (thread.isError) return <Failed error={thread.error} again={() => thread.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const profile = student.data.profile;
  const open = thread.data.knots.filter((k) => k.heldOn === today()).at(-1);

  return (
    <div className="grid gap-6">
      <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
        <div>
          <Title>{profile.name}</Title>
          <h1>{profile.name}</h1>
          <p className="text-soft">{facts(profile, catalogue.data)}</p>
          {profile.complaint && <p>“{profile.complaint}”</p>}
          {!own && (
            <p className="text-soft">You stand in for this student's coach; what you do is on record.</p>
          )}
          {profile.ageBand === "junior" && (
            <p className="text-soft">
              {student.data.adult
                ? `${student.data.adult} knows of the practice.`
                : "Which adult knows of the practice is asked on the phone before the first session."}
            </p>
          )}
        </div>
        <div className="no-print ml-auto flex flex-wrap gap-3">
          {thread.data.knots.length > 0 && (
            <>
              <ButtonLink to={`/lessons/${thread.data.knots.at(-1)!.lessonId}/report`} weight="quiet">
                Report
              </ButtonLink>
              <ButtonLink to={`/students/${id}/compare`} weight="quiet">
                Side by side
              </ButtonLink>
            </>
          )}
          <ButtonLink to={`/students/${id}/edit`} weight="quiet">
            Details
          </ButtonLink>
          <ButtonLink to={`/students/${id}/approach`} weight="quiet">
            Approach
          </ButtonLink>
          {!student.data.signedUp && own && <InviteSheet studentId={id} name={profile.name} />}
          {open && (
            <ButtonLink to={`/lessons/${open.lessonId}`} weight="main">
              Today’s lesson
            </ButtonLink>
          )}
          <Button
            weight={open ? undefined : "main"}
            disabled={begin.isPending}
            onClick={() => begin.mutate()}
          >
            Begin a lesson
          </Button>
        </div>
      </div>
      {begin.isError && <Failed error={begin.error} />}

      {thread.data.knots.length === 0 ? (
        <Empty>
          <p>No lesson yet. Begin one: tally the first balls, then answer what you see at the feet.</p>
          <WantedSwing studentId={id} hand={profile.handedness as Hand} />
        </Empty>
      ) : (
        <>
          <ThreadPicture thread={thread.data} studentId={id} />
          <div className="grid gap-10 lg:grid-cols-[1fr_1.4fr]">
            <div>
              <LessonList
                thread={thread.data}
                catalogue={catalogue.data}
                onEarlier={() => setLast(last + LESSONS)}
              />
              <SentFilms studentId={id} />
            </div>
            <PracticePanel
              studentId={id}
              catalogue={catalogue.data}
              thread={thread.data}
              hand={profile.handedness as Hand}
            />
          </div>
        </>
      )}
    </div>
  );
}

function facts(profile: StudentProfile, catalogue: Catalogue): string {
  const label = (list: { id: string; label: string }[], id: string) =>
    list.find((x) => x.id === id)?.label ?? id;
  const flags = profile.flags.map((f) => label(catalogue.joints, f).toLowerCase());
  return [
    profile.handedness === "left" ? "Left-handed" : "Right-handed",
    label(catalogue.levels, profile.level).toLowerCase(),
    label(catalogue.ageBands, profile.ageBand).toLowerCase(),
    ...(flags.length ? [`take care: ${flags.join(", ")}`] : []),
  ].join(" · ");
}

function LessonList({
  thread,
  catalogue,
  onEarlier,
}: {
  thread: Thread;
  catalogue: Catalogue;
  onEarlier: () => void;
}) {
  const fault = (id: string) => catalogue.faults.find((f) => f.id === id)?.label ?? id;
  return (
    <section aria-labelledby="lessons">
      <h2 id="lessons" className="mb-2">
        Lessons
      </h2>
      <ul>
        {[...thread.knots].reverse().map((knot) => (
          <li key={knot.lessonId} className="border-line flex flex-wrap items-baseline gap-x-3 border-b py-2">
            <Link to={`/lessons/${knot.lessonId}`} className="font-semibold">
              {longDay(knot.heldOn)}
            </Link>
            <span className="text-soft">{knot.focus.map(fault).join(", then ") || "undecided"}</span>
            {knot.nextLesson && (
              <Link to={`/lessons/${knot.lessonId}/plan`} className="ml-auto">
                Plan
              </Link>
            )}
          </li>
        ))}
      </ul>
      {thread.knots.length < thread.all && (
        <Button weight="quiet" className="no-print" onClick={onEarlier}>
          Earlier lessons ({thread.all - thread.knots.length})
        </Button>
      )}
    </section>
  );
}
