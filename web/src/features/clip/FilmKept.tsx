import { useMutation } from "@tanstack/react-query";
import { Download, Trash2 } from "lucide-react";
import { api } from "@/api/client";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import { Failed } from "@/ui/Notice";
import { Removal } from "@/ui/Removal";
import { picturesOf } from "./kept";
import { sendFilm } from "./pictures";

/** Whether a clip's film is kept beside its stills: only where somebody agreed, and it was chosen. */
export function FilmKept({
  clip,
  agreed,
  onChanged,
}: {
  clip: Wire["ClipView"];
  /** Who agreed to pictures; nobody where none may be kept. */
  agreed?: string;
  onChanged: () => unknown;
}) {
  const held = picturesOf(clip.id);
  const change = useMutation({
    mutationFn: (keep: boolean) =>
      keep ? sendFilm(clip, held!, agreed!) : api.delete<void>(`/api/clips/${clip.id}/film`),
    onSuccess: onChanged,
  });
  if (!clip.film && !(agreed && held && !held.byHand)) return null;
  return (
    <>
      {clip.film ? (
        <span className="text-soft flex items-center gap-1 text-sm">
          Film kept, {Math.max(1, Math.round(clip.film / 1024))} kB
          <a
            href={`/api/clips/${clip.id}/film`}
            download={`clip-${clip.number}.mp4`}
            aria-label="Save the film as a file"
            className="hover:bg-tint grid size-11 place-items-center rounded"
          >
            <Download aria-hidden className="size-4" />
          </a>
          <Removal
            label="Remove the film"
            asks="The film goes for good; stills, points and numbers stay."
            onRemove={() => change.mutate(false)}
          >
            {(open) => (
              <IconButton label="Remove the film" onClick={open}>
                <Trash2 aria-hidden className="size-4" />
              </IconButton>
            )}
          </Removal>
        </span>
      ) : (
        <Button disabled={change.isPending} onClick={() => change.mutate(true)}>
          {change.isPending ? "Keeping the film …" : `Keep the film: ${agreed} agrees`}
        </Button>
      )}
      {change.isError && (
        <div className="basis-full">
          <Failed error={change.error} />
        </div>
      )}
    </>
  );
}
