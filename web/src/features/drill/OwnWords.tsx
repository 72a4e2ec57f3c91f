import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Film, Trash2 } from "lucide-react";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import { longDay } from "@/calendar/dates";
import { Button } from "@/ui/Button";
import { FileButton } from "@/ui/FileButton";
import { IconButton } from "@/ui/IconButton";
import { Failed } from "@/ui/Notice";
import { Removal } from "@/ui/Removal";
import { LONGEST_KEPT_SECONDS } from "../clip/limits";
import { OwnFilm } from "./OwnFilm";

const LONGEST = 600;

/** What this coach says of a drill, and shows of it; students see it on their phones. */
export function OwnWords({ drill }: { drill: string }) {
  const all = useQuery(queries.drillWords());
  if (!all.data) return null;
  const { words = "", film } = all.data[drill] ?? {};
  return (
    <section aria-labelledby="own-words" className="border-line grid gap-3 border-t pt-4">
      <h2 id="own-words">In your own words</h2>
      <p className="text-soft text-sm">
        Your students read and see it on their phones, before the first rep.
      </p>
      <Words key={words} drill={drill} words={words} />
      {film ? (
        <div className="grid gap-1">
          <OwnFilm key={film.bytes} path={`/api/drill-words/${drill}/film`} label="Your film" />
          <p className="text-soft flex items-center gap-1 text-sm">
            {film.agreedBy} agreed, {longDay(film.agreedOn)}
            <Remove drill={drill} />
          </p>
        </div>
      ) : (
        <AddFilm drill={drill} />
      )}
    </section>
  );
}

function useChanged() {
  const client = useQueryClient();
  return () => client.invalidateQueries({ queryKey: queries.drillWords().queryKey });
}

function Words({ drill, words }: { drill: string; words: string }) {
  const changed = useChanged();
  const [text, setText] = useState(words);
  const keep = useMutation({
    mutationFn: (words: string) => api.put<void>(`/api/drill-words/${drill}`, { words }),
    onSuccess: changed,
  });
  return (
    <form
      className="grid justify-items-start gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate(text.trim());
      }}
    >
      <textarea
        aria-label="What you say of it"
        className="w-full"
        rows={3}
        maxLength={LONGEST}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      {text.trim() !== words && (
        <Button type="submit" disabled={keep.isPending}>
          {text.trim() === "" ? "Take it away" : "Keep"}
        </Button>
      )}
      {keep.isError && <Failed error={keep.error} />}
    </form>
  );
}

/** A film is taken only with the name of who is in it and agrees. */
function AddFilm({ drill }: { drill: string }) {
  const changed = useChanged();
  const own = useQuery(queries.session()).data?.account?.name ?? "";
  const [who, setWho] = useState(own);
  const [agrees, setAgrees] = useState(false);
  const add = useMutation({
    mutationFn: async (file: File) => {
      const [{ shortened }, { base64 }] = await Promise.all([
        import("../clip/keptFilm"),
        import("../clip/pictures"),
      ]);
      const mp4 = await base64(await shortened(file));
      await api.put<void>(`/api/drill-words/${drill}/film`, { mp4, agreed: who.trim() });
    },
    onSuccess: changed,
  });
  const may = agrees && who.trim() !== "" && !add.isPending;
  return (
    <div className="grid justify-items-start gap-2">
      <label className="flex flex-wrap items-center gap-2">
        In the film:
        <input
          className="min-h-11 w-44"
          maxLength={100}
          value={who}
          onChange={(e) => {
            setWho(e.target.value);
            setAgrees(false);
          }}
        />
      </label>
      <label className="flex min-h-11 items-center gap-3">
        <input type="checkbox" checked={agrees} onChange={(e) => setAgrees(e.target.checked)} />
        {who.trim() || "Who is in it"} agrees that my students see it
      </label>
      <div className="flex flex-wrap gap-2">
        <FileButton
          camera
          label="Film the drill now"
          accept="video/*"
          disabled={!may}
          onFile={(f) => add.mutate(f)}
        >
          <Film aria-hidden className="size-5" /> Film now
        </FileButton>
        <FileButton
          label="Film of the drill"
          accept="video/*,.mp4,.mov,.webm"
          disabled={!may}
          onFile={(f) => add.mutate(f)}
        >
          <Film aria-hidden className="size-5" />
          {add.isPending ? "Making it small …" : `A film of up to ${LONGEST_KEPT_SECONDS} s`}
        </FileButton>
      </div>
      {add.isError && <Failed error={add.error} />}
    </div>
  );
}

function Remove({ drill }: { drill: string }) {
  const changed = useChanged();
  const remove = useMutation({
    mutationFn: () => api.delete<void>(`/api/drill-words/${drill}/film`),
    onSuccess: changed,
  });
  return (
    <>
      <Removal
        label="Remove the film"
        asks="Your students see it no more; the words stay."
        onRemove={() => remove.mutate()}
      >
        {(open) => (
          <IconButton label="Remove the film" onClick={open}>
            <Trash2 aria-hidden className="size-4" />
          </IconButton>
        )}
      </Removal>
      {remove.isError && <Failed error={remove.error} />}
    </>
  );
}
