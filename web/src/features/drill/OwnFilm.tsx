import { useMutation } from "@tanstack/react-query";
import { Play } from "lucide-react";
import { useEffect } from "react";
import { Problem } from "@/api/client";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";

/** A short film of the coach's, fetched when somebody wants to see it. */
export function OwnFilm({ path, label }: { path: string; label: string }) {
  const film = useMutation({
    mutationFn: async () => {
      const answer = await fetch(path).catch(() => {
        throw new Error("The film needs a signal.");
      });
      if (!answer.ok) throw new Problem(answer.status, "The film did not arrive.");
      return URL.createObjectURL(await answer.blob());
    },
  });
  const { data } = film;
  useEffect(() => () => (data ? URL.revokeObjectURL(data) : undefined), [data]);
  return (
    <div className="grid justify-items-start gap-1">
      {data ? (
        <video
          src={data}
          aria-label={label}
          className="max-h-[42dvh] w-full max-w-sm rounded"
          controls
          autoPlay
          muted
          loop
          playsInline
        />
      ) : (
        <Button disabled={film.isPending} onClick={() => film.mutate()}>
          <Play aria-hidden className="size-5" /> {label}
        </Button>
      )}
      {film.isError && <Failed error={film.error} />}
    </div>
  );
}
