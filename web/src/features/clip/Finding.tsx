import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { queries } from "@/api/queries";
import type { Hand } from "@/api/types";
import { Button } from "@/ui/Button";
import type { useFinding } from "./useFinding";

const PARTS = {
  opening: "Opening the film",
  searching: "Looking for the swing",
  finding: "Finding the body",
};

const BAR =
  "h-3 w-full appearance-none [&::-webkit-progress-bar]:rounded [&::-webkit-progress-bar]:bg-tint [&::-webkit-progress-value]:rounded [&::-webkit-progress-value]:bg-ink";

/** What is being found, as it comes in; with a way out, and for who knows what to set, one to do it by hand. */
export function Finding({
  finding,
  mayByHand,
}: {
  finding: ReturnType<typeof useFinding>;
  mayByHand?: boolean;
}) {
  const { progress, canvas, give } = finding;
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    place.current?.replaceChildren(canvas);
  }, [canvas]);
  const left = progress.left === undefined ? "" : `, ${Math.ceil(progress.left)} s left`;
  return (
    <section aria-label="Finding the swing" className="grid justify-items-center gap-3">
      <div
        ref={place}
        // Before the first picture there is nothing to be seen.
        className={`grid min-h-40 max-w-full justify-items-center overflow-hidden rounded [&>canvas]:max-h-80 [&>canvas]:max-w-full ${progress.part === "finding" ? "" : "invisible"}`}
        aria-hidden
      />
      <label className="grid w-full max-w-md gap-1">
        <span role="status">
          {PARTS[progress.part]}
          {left}
        </span>
        <progress className={BAR} max={progress.of} value={progress.done} />
      </label>
      <span className="flex gap-2">
        <Button onClick={give}>Give up</Button>
        {mayByHand && progress.part === "finding" && (
          <Button onClick={finding.byHand}>Set points by hand</Button>
        )}
      </span>
    </section>
  );
}

const SLOWER = [
  { id: "1", label: "Usual" },
  { id: "4", label: "Slow 4×" },
  { id: "8", label: "Slow 8×" },
];

/** How the film was recorded where the file's clock seems not to be the world's, and which of its swings it is. */
export function Slower({ finding, slow }: { finding: ReturnType<typeof useFinding>; slow: boolean }) {
  const { found, slower, again } = finding;
  if (!found) return null;
  return (
    <>
      {(slow || slower > 1) && (
        <label className="flex items-center gap-2">
          Speed
          <select value={String(slower)} onChange={(e) => again(Number(e.target.value), undefined)}>
            {SLOWER.map((s) => (
              <option key={s.id} value={s.id}>
                {s.label}
              </option>
            ))}
          </select>
        </label>
      )}
      {found.swings.length > 1 && (
        <label className="flex items-center gap-2">
          Swing
          <select value={String(found.swing)} onChange={(e) => again(slower, Number(e.target.value))}>
            {found.swings.map((s, i) => (
              <option key={s.peak} value={i}>
                at {s.peak.toFixed(1)} s
              </option>
            ))}
          </select>
        </label>
      )}
    </>
  );
}

/** In the demo there are films of the simulated golfer. */
export function DemoFilm({
  busy,
  hand,
  onFile,
}: {
  busy: boolean;
  hand: Hand;
  onFile: (file: File) => void;
}) {
  const session = useQuery(queries.session());
  const there = (session.data?.demo.length ?? 0) > 0;
  const films = useQuery({ ...queries.demoFilms(), enabled: there });
  if (!there || !films.data) return null;
  return (
    <label className="flex items-center gap-2">
      Or a demo film
      <select
        value=""
        disabled={busy}
        onChange={async (e) => {
          const name = e.target.value;
          const film = await fetch(`/api/demo/films/${name}`).then((r) => r.blob());
          onFile(new File([film], `${name}.mp4`, { type: "video/mp4" }));
        }}
      >
        <option value="">choose</option>
        {films.data
          .filter((f) => f.hand === hand)
          .map((f) => (
            <option key={f.name} value={f.name}>
              {f.name.replace("-", ", ")}
            </option>
          ))}
      </select>
    </label>
  );
}
