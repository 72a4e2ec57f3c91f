import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Film } from "lucide-react";
import { useMemo, useState } from "react";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Hand, Wire } from "@/api/types";
import { shortDay } from "@/calendar/dates";
import { Button } from "@/ui/Button";
import { FileButton } from "@/ui/FileButton";
import { Failed, Loading, Note } from "@/ui/Notice";
import { Removal } from "@/ui/Removal";
import { Title } from "@/ui/Title";
import { PhoneFrame } from "../phone/PhoneFrame";
import { type Today, useToday } from "../phone/today";
import { ClipPicture } from "./ClipPicture";
import { DemoFilm, Finding } from "./Finding";
import { FilmNow } from "./FilmNow";
import type { Found } from "./finding";
import { drawing } from "./lines";
import { LARGEST_KEPT_MB, LONGEST_SECONDS } from "./limits";
import { sendFilm, sendPictures } from "./pictures";
import { trackOf, viewOf } from "./seen";
import { nearest } from "./shown";
import { strikeOf } from "./strike";
import { useFinding } from "./useFinding";
import { Warnings } from "./Warnings";

type Sent = Wire["SentClip"];

/** A student films a swing between two lessons: the body is found on the phone, and only what was found is sent. */
export default function SendFilmPage() {
  const day = useToday();
  const catalogue = useCatalogue(day.data?.handedness);
  if (day.error) return <Failed error={day.error} again={day.again} />;
  if (!day.data || !catalogue.data) return <Loading />;
  return (
    <PhoneFrame>
      <Title>A swing for your coach</Title>
      <h1>A swing for your coach</h1>
      <SendFilm today={day.data} />
    </PhoneFrame>
  );
}

function SendFilm({ today }: { today: Today }) {
  const finding = useFinding();
  const { found } = finding;
  const hand = today.handedness as Hand;
  const client = useQueryClient();
  const [agrees, setAgrees] = useState(false);
  const [moving, setMoving] = useState(false);
  // Of a junior's pictures the adult decides who knows of the practice.
  const who = today.junior ? today.adult : today.name;
  // After the swing and apart from it: pictures that do not arrive must not make it be sent twice.
  const pictures = useMutation({
    mutationFn: async ({ clip, found, film }: { clip: Sent["clip"]; found: Found; film: boolean }) => {
      await sendPictures(clip, found, "/api/me");
      if (film) await sendFilm(clip, found, who!, "/api/me");
    },
  });
  const track = useMemo(
    () => found && trackOf(found, found.frames, viewOf(found.frames), hand),
    [found, hand],
  );
  // What spoils a film is said while another can be taken.
  const read = useQuery({
    queryKey: ["tracks", found?.id],
    queryFn: () => api.post<Wire["TrackView"]>("/api/tracks/read", track),
    enabled: !!track,
    retry: false,
    staleTime: Infinity,
  });
  const strike = useMemo(() => read.data && strikeOf(found?.sound, read.data.moments), [found, read.data]);
  const send = useMutation({
    mutationFn: (found: Found) =>
      api.post<Sent[]>("/api/me/clips", {
        name: found.name.slice(0, 120),
        width: found.width,
        height: found.height,
        track: { ...track, moments: strike === undefined ? undefined : { impact: strike } },
        agreed: agrees ? who : undefined,
      }),
    onSuccess: (sent, found) => {
      client.setQueryData(queries.ownClips().queryKey, sent);
      finding.forget();
      if (agrees) pictures.mutate({ clip: sent[0]!.clip, found, film: moving });
    },
  });
  const open = (file: File) => void finding.find(file, 1);
  return (
    <div className="mt-4 grid gap-5">
      {!found && !finding.busy && (
        <>
          <p>
            Phone on a stand, hip high; face on, or down the line behind the hands. The whole body in the
            picture, still for a second before and after. Up to {LONGEST_SECONDS} s.
          </p>
          <div className="flex flex-wrap gap-3">
            <FilmNow hand={hand} onFile={open} />
            <FileButton label="Film of a swing" accept="video/*,.mp4,.mov,.webm" onFile={open}>
              <Film aria-hidden className="size-5" /> Choose a film
            </FileButton>
            <DemoFilm busy={false} hand={hand} onFile={open} />
          </div>
          <p className="text-soft text-sm">
            The body is found on this phone, for which 16 MB are fetched once. The film stays here unless you
            send it along.
          </p>
        </>
      )}
      {finding.busy && <Finding finding={finding} />}
      {finding.error && <Failed error={finding.error} />}
      {found && (
        <>
          <Filmed found={found} hand={hand} />
          {read.isError && <Failed error={read.error} again={() => read.refetch()} />}
          <Warnings of={read.data?.warnings ?? []} grave />
          <Warnings of={(read.data?.warnings ?? []).filter((w) => w.code !== "no-scale")} grave={false} />
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              checked={agrees}
              disabled={!who}
              onChange={(e) => setAgrees(e.target.checked)}
            />
            {today.junior
              ? `${who ?? "An adult"} agrees that eight pictures of it are kept`
              : "My coach may keep eight pictures of it"}
          </label>
          {agrees && (
            <label className="flex min-h-11 items-center gap-3">
              <input type="checkbox" checked={moving} onChange={(e) => setMoving(e.target.checked)} />
              And the film, small: {LARGEST_KEPT_MB} MB at most
            </label>
          )}
          <div className="grid grid-cols-2 gap-3">
            <Button onClick={finding.forget}>Throw away</Button>
            <Button
              weight="main"
              disabled={!read.data?.moments.length || send.isPending}
              onClick={() => send.mutate(found)}
            >
              {send.isPending ? "Sending …" : "Send"}
            </Button>
          </div>
          {send.isError && <Failed error={send.error} />}
        </>
      )}
      {pictures.isError && (
        <Failed error={pictures.error} again={() => pictures.mutate(pictures.variables)} />
      )}
      <Own />
    </div>
  );
}

/** The picture around the strike, with what was found in it. */
function Filmed({ found, hand }: { found: Found; hand: Hand }) {
  const at = nearest(found.times, found.swings[found.swing]!.peak);
  const points = found.frames[at];
  const view = viewOf(found.frames);
  const seen = found.frames.filter((f) => f).length;
  return (
    <figure className="grid gap-1">
      <div className="[--tall:20rem]">
        <ClipPicture
          picture={found.pictures[at]}
          width={found.width}
          height={found.height}
          drawing={
            points ? drawing(view, points, undefined, [], 0, true) : { lines: [], dots: [], bands: [] }
          }
          said={`Your swing, ${hand}-handed, with the points that were found`}
        />
      </div>
      <figcaption className="text-soft text-center text-sm">
        {view === "face-on" ? "Face on" : "Down the line"}, found in {seen} of {found.frames.length} pictures
      </figcaption>
    </figure>
  );
}

/** What was sent, and whether the coach has looked. */
function Own() {
  const client = useQueryClient();
  const own = useQuery(queries.ownClips());
  const takeBack = useMutation({
    mutationFn: (id: string) => api.delete<Sent[]>(`/api/me/clips/${id}`),
    onSuccess: (sent) => client.setQueryData(queries.ownClips().queryKey, sent),
  });
  if (!own.data || own.data.length === 0) return null;
  return (
    <section aria-labelledby="sent">
      <h2 id="sent">Sent</h2>
      <ul>
        {own.data.map(({ clip, practisedOn, seen }) => (
          <li key={clip.id} className="border-line flex items-center gap-3 border-b py-1">
            <span className="flex-1">
              {shortDay(practisedOn)}, {clip.view === "face-on" ? "face on" : "down the line"}
              <span className="text-soft block text-sm">
                {seen ? "Your coach has looked at it" : "Waits for your coach"}
              </span>
            </span>
            <Removal
              label="Take back"
              asks="The swing goes from here and from your coach's side, with its pictures."
              onRemove={() => takeBack.mutate(clip.id)}
            >
              {(open) => (
                <Button weight="quiet" disabled={takeBack.isPending} onClick={open}>
                  Take back
                </Button>
              )}
            </Removal>
          </li>
        ))}
      </ul>
      {takeBack.isError && <Failed error={takeBack.error} />}
      <div className="mt-3">
        <Note>A film shows how a swing looks, not whether something hurts: say that after practice.</Note>
      </div>
    </section>
  );
}
