import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, LessonEntry } from "@/api/types";
import { Choice } from "@/ui/Choice";
import { HipLinePicture } from "../feet/HipLinePicture";

const WIDEST = 25;

/** Setting up: the hip line at address for the wanted flight, and where to press in the lead foot to get there. */
export function HipLineHelper({
  lessonId,
  entry,
  catalogue,
  hand,
}: {
  lessonId: string;
  entry: LessonEntry;
  catalogue: Catalogue;
  hand: Hand;
}) {
  const read = entry.before.readings.find((r) => r.id === "hip-line" && r.at === "address")?.value;
  const seen =
    entry.signs["hips-open-at-address"] === "yes"
      ? 10
      : entry.signs["hips-closed-at-address"] === "yes"
        ? -10
        : 0;
  const [moved, setMoved] = useState<number>();
  const [wanted, setWanted] = useState("straight");
  const degrees = moved ?? Math.max(-WIDEST, Math.min(WIDEST, Math.round(read ?? seen)));
  const answer = useQuery({
    ...queries.hipLine(lessonId, degrees, wanted),
    placeholderData: (previous) => previous,
  });
  const flight = catalogue.flights.find((f) => f.id === wanted) ?? catalogue.flights[0];
  return (
    <section aria-labelledby="hip-line" className="border-line grid gap-3 border-t pt-4">
      <h2 id="hip-line">Setting up: the hip line</h2>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <Choice label="Wanted flight" value={wanted} options={catalogue.flights} onChange={setWanted} />
        <label className="flex flex-wrap items-center gap-3">
          <span>Hips at address</span>
          <input
            type="range"
            min={-WIDEST}
            max={WIDEST}
            value={degrees}
            className="min-h-11 w-56"
            onChange={(e) => setMoved(Number(e.target.value))}
          />
          <output className="w-24 font-semibold">
            {degrees === 0 ? "square" : `${Math.abs(degrees)}° ${degrees > 0 ? "open" : "closed"}`}
          </output>
        </label>
        {moved === undefined && read === undefined && seen !== 0 && (
          <span className="text-soft text-sm">Seen, not measured: move it to what you see.</span>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-6">
        {flight && (
          <HipLinePicture
            hand={hand}
            degrees={degrees}
            wanted={[flight.low, flight.high]}
            press={answer.data?.press ?? undefined}
          />
        )}
        <ul aria-live="polite" className="grid max-w-md gap-1">
          {answer.data?.texts.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      </div>
    </section>
  );
}
