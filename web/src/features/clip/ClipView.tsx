import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Check, Film as FilmIcon, Hand as HandIcon, X } from "lucide-react";
import { useMemo, useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import { shortDay } from "@/calendar/dates";
import type { Catalogue, Hand, Lesson, MomentName, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { FileButton } from "@/ui/FileButton";
import { Failed, Loading } from "@/ui/Notice";
import { Decide } from "../lesson/Decide";
import { Ranking } from "../lesson/Ranking";
import { WhichBalls } from "../lesson/WhichBalls";
import { useSwingsChanged } from "../plate/usePlate";
import { MIRRORED, useOther, WANTED } from "./Against";
import { settled, toldByHand } from "./byHand";
import { settingByHand, shownByHand } from "./byHandDesk";
import { ClipDesk } from "./ClipDesk";
import type { ClipSet, Marks, Setting } from "./ClipSettings";
import type { Shown } from "./shown";
import { Agreed } from "./Agreed";
import { ClipReadings } from "./ClipReadings";
import { DemoFilm, Finding, Slower } from "./Finding";
import { FilmKept } from "./FilmKept";
import { FilmNow } from "./FilmNow";
import { KeptClips } from "./KeptClips";
import { LARGEST_MB, LONGEST_SECONDS } from "./limits";
import type { Found } from "./finding";
import { NotFound } from "./noFilm";
import { fixed } from "./fixes";
import { holdPictures } from "./kept";
import { type CameraView, trackOf, viewOf, VIEWS } from "./seen";
import { sendPictures } from "./pictures";
import { strikeOf } from "./strike";
import { TiedLoads } from "./TiedLoads";
import { strikesApart } from "./ties";
import { useFinding } from "./useFinding";
import { useStored } from "./useStored";

const TURNED = { code: "turned", text: "The film did not stand upright and was turned." };
const HEARD = { code: "heard", text: "Impact is where the strike is heard." };

type Told = { moments: Record<string, number | null>; scale: Marks | null; height: number };
/** A lesson's films of swings: points are found on this machine, looked at, corrected and kept. */
export default function ClipView({
  lesson,
  catalogue,
  saved,
  stage,
  onStage,
}: {
  lesson: Lesson;
  catalogue: Catalogue;
  saved: boolean;
  stage: MomentName;
  onStage: (stage: MomentName) => void;
}) {
  const hand = lesson.handedness as Hand;
  const client = useQueryClient();
  const clips = useQuery(queries.clips(lesson.id));
  const earlier = useQuery(queries.earlierClips(lesson.id));
  const swings = useQuery(queries.swings(lesson.id));
  const changed = useSwingsChanged(lesson.id);
  const took = (view: Wire["ClipsView"]) => {
    client.setQueryData(queries.clips(lesson.id).queryKey, view);
    void changed();
  };
  const finding = useFinding();
  const [own, setOwn] = useState<{ of: Found; set: ClipSet }>();
  const [heard, setHeard] = useState<{ of: number; at?: number }>();
  const [tall, setTall] = useState<number | null>();
  const [chosenId, setChosen] = useState<string>();
  const [againstId, setAgainst] = useState<string>();
  const [swingId, setSwing] = useState("");
  const found = finding.found;
  const first = useMemo(
    (): ClipSet | undefined =>
      found && {
        view: found.byHand ? "face-on" : viewOf(found.frames),
        moments: {},
        fixes: [],
        poses: {},
      },
    [found],
  );
  const set = found && own?.of === found ? own.set : first;
  const setSet = (next: ClipSet) => found && setOwn({ of: found, set: next });
  const height = tall === undefined ? (clips.data?.height ?? null) : tall;

  const frames = useMemo(
    () => (found && set ? fixed(found.frames, found.times, set.fixes) : []),
    [found, set],
  );
  // What is read and kept: of a film with points set by hand only the pictures that have all of theirs.
  const still = useMemo(
    () => (found?.byHand && set ? settled(found, set.view, set.poses) : found),
    [found, set],
  );
  const strike = heard && heard.of === found?.id ? heard.at : undefined;
  const track = useMemo(
    () =>
      still &&
      set && {
        ...trackOf(still, still.byHand ? still.frames : frames, set.view, hand),
        height: height ?? undefined,
        scale: set.marks,
        ...(still.byHand
          ? toldByHand(still, set.view, set.poses)
          : { moments: { ...(strike !== undefined && { impact: strike }), ...set.moments } }),
      },
    [still, frames, hand, height, set, strike],
  );
  const read = useQuery({
    queryKey: ["tracks", found?.id, set, height, strike],
    queryFn: () => api.post<Wire["TrackView"]>("/api/tracks/read", track),
    enabled: !!track,
    // While something is set the old values stay, but never those of another film.
    placeholderData: (was, query) => (query?.queryKey[1] === found?.id ? was : undefined),
    retry: false,
    staleTime: Infinity,
  });
  // Once the hands have told where impact is about, the sound tells it better.
  if (found && !found.byHand && read.data && heard?.of !== found.id) {
    setHeard({ of: found.id, at: strikeOf(found.sound, read.data.moments) });
  }
  // After the clip and apart from it: pictures that do not arrive must not make it be kept twice.
  const pictures = useMutation({
    mutationFn: async ({ clip, found }: { clip: Wire["ClipView"]; found: Found }) => {
      await sendPictures(clip, found);
      return api.get<Wire["ClipsView"]>(`/api/lessons/${lesson.id}/clips`);
    },
    onSuccess: took,
  });
  const keep = useMutation({
    mutationFn: async (found: Found) => {
      const view = await api.post<Wire["ClipsView"]>(`/api/lessons/${lesson.id}/clips`, {
        stage,
        name: found.name.slice(0, 120),
        width: found.width,
        height: found.height,
        track,
      });
      return { view, clip: view.clips[view.clips.length - 1]!, found };
    },
    onSuccess: async ({ view, clip, found }) => {
      holdPictures(clip.id, found);
      // Here before the film goes: what stands beside it, and is perhaps being written in, stays where it is.
      await client.prefetchQuery(queries.clipPoints(clip.id));
      took(view);
      setChosen(clip.id);
      finding.forget();
      if (view.agreed) pictures.mutate({ clip, found });
    },
  });
  const decide = useMutation({
    mutationFn: ({ id, state }: { id: string; state: string }) =>
      api.put<Wire["ClipsView"]>(`/api/clips/${id}/state`, { state, stage }),
    onSuccess: took,
  });
  const remove = useMutation({
    mutationFn: (id: string) => api.delete<Wire["ClipsView"]>(`/api/clips/${id}`),
    onSuccess: took,
  });
  const tell = useMutation({
    mutationFn: (told: Partial<Told>) => {
      const was = { moments: {}, scale: chosen?.scale, height: chosen?.golferHeight ?? height ?? undefined };
      return api.put<Wire["ClipsView"]>(`/api/clips/${chosen!.id}/told`, { ...was, ...told });
    },
    onSuccess: took,
  });

  const all = clips.data?.clips ?? [];
  // From elsewhere it may be the same swing, if both know the strike.
  const twoSides = (clip: Wire["ClipView"], day: string) =>
    day === "" &&
    clip.stage === stage &&
    !!chosen &&
    strikesApart(chosen.moments, clip.moments) !== undefined;
  const shownClips = all.filter((c) => c.stage === stage);
  const chosen = found ? undefined : (shownClips.find((c) => c.id === chosenId) ?? shownClips.at(-1));
  const stored = useStored(chosen);
  const others = [
    ...all.map((clip) => ({ clip, day: "" })),
    ...(earlier.data ?? []).flatMap((e) => e.clips.map((clip) => ({ clip, day: shortDay(e.heldOn) }))),
  ]
    .filter(({ clip, day }) => clip.id !== chosen?.id && (clip.view === chosen?.view || twoSides(clip, day)))
    .map((o) => ({ ...o, name: `${o.day || "this lesson"}, clip ${o.clip.number} ${o.clip.stage}` }));
  const against = others.find((o) => o.clip.id === againstId);
  const otherFilm = useStored(against?.clip, against?.name);

  const fresh: Shown | undefined =
    found && set && found.byHand
      ? shownByHand(found, set, read.data)
      : found && set && read.data
        ? {
            name: found.name,
            view: set.view,
            width: found.width,
            height: found.height,
            times: found.times,
            frames,
            moments: read.data.moments.map((m) => (m.id in set.moments ? { ...m, from: "corrected" } : m)),
            warnings: [
              ...(found.turned ? [TURNED] : []),
              ...(strike !== undefined && !("impact" in set.moments) ? [HEARD] : []),
              ...read.data.warnings,
            ],
            readings: read.data.readings,
            ruler: read.data.scale,
            picture: (i) => found.pictures[i],
          }
        : undefined;
  const shown = fresh ?? stored;
  const other = useOther(
    againstId,
    found ? undefined : otherFilm,
    lesson.entry.approach.pressure ?? "",
    hand,
    shown,
  );
  if (clips.isPending) return <Loading />;
  if (clips.isError) return <Failed error={clips.error} again={() => clips.refetch()} />;
  const plate = (swings.data?.swings ?? []).filter(
    (s) =>
      s.stage === stage &&
      s.state !== "thrown" &&
      shown &&
      strikesApart(shown.moments, s.moments) !== undefined,
  );
  const swing = plate.find((s) => s.id === swingId);
  const school = catalogue.schools.find((s) => s.id === lesson.entry.approach.pressure);
  const settingFresh = (set: ClipSet): Setting => ({
    tall: height,
    marks: set.marks,
    fixed: set.fixes.length > 0,
    onTall: setTall,
    onMarks: (marks) => setSet({ ...set, marks }),
    onFix: (fix) => setSet({ ...set, fixes: fix ? [...set.fixes, fix] : [] }),
    onMoment: (id, seconds) => {
      const others = Object.entries(set.moments).filter(([other]) => other !== id);
      setSet({
        ...set,
        moments: Object.fromEntries(seconds === null ? others : [...others, [id, seconds]]),
      });
    },
  });
  const settingKept: Setting = {
    tall: chosen?.golferHeight ?? height,
    marks: chosen?.scale as Marks | undefined,
    onTall: (cm) => cm && tell.mutate({ height: cm }),
    onMarks: (marks) => tell.mutate({ scale: marks ?? null }),
    onMoment: stored?.byHand ? undefined : (id, seconds) => tell.mutate({ moments: { [id]: seconds } }),
  };
  const isSwing = !!track && !!read.data && read.data.moments.length > 0;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 no-print">
        <WhichBalls value={stage} onChange={onStage} />
        <FileButton
          label="Film of a swing"
          accept="video/*,.mp4,.mov,.webm"
          disabled={finding.busy}
          onFile={(file) => void finding.find(file, 1)}
        >
          <FilmIcon aria-hidden className="size-5" /> Film of a swing
        </FileButton>
        <FilmNow hand={hand} disabled={finding.busy} onFile={(file) => void finding.find(file, 1)} />
        <DemoFilm busy={finding.busy} hand={hand} onFile={(file) => void finding.find(file, 1)} />
        <p className="text-soft text-sm">
          From the side of the ball or down the line; up to {LONGEST_SECONDS} s and {LARGEST_MB} MB. The film
          stays on this machine, unless you choose to keep it.
        </p>
      </div>
      {finding.busy && <Finding finding={finding} mayByHand />}
      {finding.error && <Failed error={finding.error} />}
      {finding.error instanceof NotFound && (
        <div>
          <Button onClick={finding.byHand}>
            <HandIcon aria-hidden className="size-4" /> Set points by hand
          </Button>
        </div>
      )}
      {found && read.isError && <Failed error={read.error} />}
      {!shown && !finding.busy && (
        <div className="border-line text-soft grid gap-2 border border-dashed p-6">
          <p className="text-ink font-semibold">A phone on a stand, hip high, is enough.</p>
          <p>
            Face on: square to the target line. Down the line: on the hands’ line, level. The whole body in
            the picture, still for a second before and after, 60 pictures a second or more.
          </p>
        </div>
      )}
      {shown && (
        <div className="grid gap-x-6 gap-y-4 lg:grid-cols-[minmax(0,1fr)_19rem]">
          <section aria-label={shown.name} className="grid content-start gap-3">
            <div className="flex flex-wrap items-center gap-3 no-print">
              {fresh && set ? (
                <>
                  <Choice
                    label="Where the camera stood"
                    value={set.view}
                    options={VIEWS}
                    onChange={(view) => setSet({ ...set, view: view as CameraView, poses: {} })}
                  />
                  <Slower finding={finding} slow={fresh.warnings.some((w) => w.code === "slow-motion")} />
                  <span className="ml-auto flex gap-2">
                    <Button
                      weight="main"
                      disabled={!isSwing || keep.isPending}
                      onClick={() => keep.mutate(still!)}
                    >
                      <Check aria-hidden className="size-4" /> Keep
                    </Button>
                    <Button onClick={finding.forget}>
                      <X aria-hidden className="size-4" /> Throw away
                    </Button>
                  </span>
                </>
              ) : (
                chosen && (
                  <>
                    <h2>
                      Clip {chosen.number}, {VIEWS.find((v) => v.id === chosen.view)?.label.toLowerCase()}
                    </h2>
                    <Button
                      onClick={() =>
                        decide.mutate({ id: chosen.id, state: chosen.state === "kept" ? "thrown" : "kept" })
                      }
                    >
                      {chosen.state === "kept" ? "Does not count" : "Counts"}
                    </Button>
                    <FilmKept
                      key={chosen.id}
                      clip={chosen}
                      agreed={clips.data.agreed?.by}
                      onChanged={() => clips.refetch()}
                    />
                  </>
                )
              )}
              <label className={`flex items-center gap-2 ${fresh ? "" : "ml-auto"}`}>
                Against
                <select value={againstId ?? ""} onChange={(e) => setAgainst(e.target.value)}>
                  <option value="">nothing</option>
                  <option value={WANTED}>the wanted swing</option>
                  <option value={MIRRORED}>itself, mirrored</option>
                  {!fresh &&
                    others.map((o) => (
                      <option key={o.clip.id} value={o.clip.id}>
                        {o.name}
                      </option>
                    ))}
                </select>
              </label>
              {plate.length > 0 && (
                <label className="flex items-center gap-2">
                  Loads
                  <select value={swing?.id ?? ""} onChange={(e) => setSwing(e.target.value)}>
                    <option value="">none</option>
                    {plate.map((s) => (
                      <option key={s.id} value={s.id}>
                        swing {s.number}
                      </option>
                    ))}
                  </select>
                </label>
              )}
            </div>
            <ClipDesk
              key={fresh ? found?.id : chosen?.id}
              shown={shown}
              against={other}
              hand={hand}
              catalogue={catalogue}
              setting={
                !(fresh && found && set)
                  ? settingKept
                  : found.byHand
                    ? settingByHand(found, set, setSet, height, setTall)
                    : settingFresh(set)
              }
              beneath={
                swing &&
                school &&
                ((seconds, onSeconds) => (
                  <TiedLoads
                    swing={swing}
                    apart={strikesApart(shown.moments, swing.moments)!}
                    {...{ seconds, onSeconds, catalogue, hand }}
                    corridors={school.corridors}
                  />
                ))
              }
            />
            <ClipReadings
              readings={shown.readings}
              against={fresh || otherFilm?.view !== shown.view ? undefined : otherFilm.readings}
              catalogue={catalogue}
              diagnosis={lesson.diagnosis}
            />
            {keep.isError && <Failed error={keep.error} />}
            {pictures.isError && (
              <Failed error={pictures.error} again={() => pictures.mutate(pictures.variables)} />
            )}
            {tell.isError && <Failed error={tell.error} />}
          </section>
          <aside className="grid content-start gap-5">
            <section aria-label="Diagnosis" className="no-print grid gap-3">
              <Decide lesson={lesson} catalogue={catalogue} saved={saved} />
              <Ranking diagnosis={lesson.diagnosis} catalogue={catalogue} />
            </section>
            <KeptClips clips={shownClips} chosen={chosen?.id} onChoose={setChosen} onRemove={remove.mutate} />
            <Agreed lesson={lesson} clips={all} agreed={clips.data.agreed ?? undefined} />
          </aside>
        </div>
      )}
    </div>
  );
}
