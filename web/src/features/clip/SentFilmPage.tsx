import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Hand, Student, Wire } from "@/api/types";
import { longDay, shortDay } from "@/calendar/dates";
import { Failed, Loading } from "@/ui/Notice";
import { Title } from "@/ui/Title";
import { MIRRORED, useOther, WANTED } from "./Against";
import { ClipDesk } from "./ClipDesk";
import type { Marks } from "./ClipSettings";
import { FilmKept } from "./FilmKept";
import { ClipReadings } from "./ClipReadings";
import { useStored } from "./useStored";
import { WaitingGates } from "./WaitingGates";

/** A swing that a student sent between two lessons, for the coach to look at. */
export default function SentFilmPage() {
  const { id, clip } = useParams() as { id: string; clip: string };
  const student = useQuery(queries.student(id));
  const sent = useQuery(queries.sentClips(id));
  const catalogue = useCatalogue(student.data?.profile.handedness);
  const broken = [student, sent, catalogue].find((q) => q.isError);
  if (broken) return <Failed error={broken.error} again={() => broken.refetch()} />;
  if (!student.data || !sent.data || !catalogue.data) return <Loading />;
  const one = sent.data.find((s) => s.clip.id === clip);
  return (
    <div className="grid gap-4">
      <Title>{`Film: ${student.data.profile.name}`}</Title>
      <h1>
        <Link to={`/students/${id}`} className="no-underline hover:underline">
          {student.data.profile.name}
        </Link>
        {one && `, filmed on ${longDay(one.practisedOn)}`}
      </h1>
      {one ? (
        <Look key={clip} sent={one} student={student.data} catalogue={catalogue.data} />
      ) : (
        <p className="text-soft">This film was taken back.</p>
      )}
    </div>
  );
}

function Look({
  sent: { clip, seen },
  student,
  catalogue,
}: {
  sent: Wire["SentClip"];
  student: Student;
  catalogue: Catalogue;
}) {
  const hand = student.profile.handedness as Hand;
  const client = useQueryClient();
  const shown = useStored(clip, "Now");
  const approach = useQuery(queries.studentApproach(student.id));
  const school = approach.data?.exceptions.pressure ?? approach.data?.coach.pressure ?? "";
  const thread = useQuery(queries.thread(student.id));
  const last = thread.data?.knots.at(-1);
  const before = useQuery({ ...queries.clips(last?.lessonId ?? ""), enabled: !!last });
  const others = before.data?.clips.filter((c) => c.view === clip.view && c.state === "kept") ?? [];
  const [againstId, setAgainst] = useState("");
  const film = useStored(others.find((c) => c.id === againstId));
  const against = useOther(againstId, film, school, hand, shown);
  const changed = () => client.invalidateQueries({ queryKey: queries.sentClips(student.id).queryKey });
  const tell = useMutation({
    mutationFn: (told: object) =>
      api.put(`/api/clips/${clip.id}/told`, {
        moments: {},
        scale: clip.scale,
        height: clip.golferHeight,
        ...told,
      }),
    onSuccess: changed,
  });
  useEffect(() => {
    if (seen) return;
    void api.post(`/api/clips/${clip.id}/seen`).then(() => client.invalidateQueries({ queryKey: ["day"] }));
  }, [client, clip.id, seen]);
  if (!shown) return <Loading />;
  return (
    <section aria-label="The film" className="grid max-w-4xl gap-3">
      <div className="flex flex-wrap items-center gap-x-5">
        <label className="flex items-center gap-2">
          Against
          <select value={againstId} onChange={(e) => setAgainst(e.target.value)}>
            <option value="">nothing</option>
            <option value={WANTED}>the wanted swing</option>
            <option value={MIRRORED}>itself, mirrored</option>
            {others.map((c) => (
              <option key={c.id} value={c.id}>
                {shortDay(last!.heldOn)}, clip {c.number} {c.stage}
              </option>
            ))}
          </select>
        </label>
        <FilmKept clip={clip} onChanged={changed} />
      </div>
      <ClipDesk
        shown={shown}
        against={against}
        hand={hand}
        catalogue={catalogue}
        setting={{
          tall: clip.golferHeight ?? null,
          marks: clip.scale as Marks | undefined,
          onTall: (cm) => cm && tell.mutate({ height: cm }),
          onMarks: (marks) => tell.mutate({ scale: marks ?? null }),
          onMoment: (id, seconds) => tell.mutate({ moments: { [id]: seconds } }),
        }}
      />
      {tell.isError && <Failed error={tell.error} />}
      <ClipReadings readings={shown.readings} against={film?.readings} catalogue={catalogue} />
      <WaitingGates studentId={student.id} catalogue={catalogue} />
    </section>
  );
}
