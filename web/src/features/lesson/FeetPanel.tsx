import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Lesson, LessonEntry, MomentName } from "@/api/types";
import { Choice } from "@/ui/Choice";
import { shortDay } from "@/calendar/dates";
import { deviationSaid } from "../feet/schools";
import { ShareStrip } from "../feet/ShareStrip";
import { Soles } from "../feet/Soles";
import type { Reading } from "./changes";
import { HipLineHelper } from "./HipLineHelper";
import { WhichBalls } from "./WhichBalls";

/** What may be laid under the readings shown. */
type Under = "nothing" | "before" | "earlier";

/**
 * The pair of soles with this lesson's readings, moved through the checkpoints against the school's corridor; a second
 * school and an earlier moment can be laid over and under.
 */
export function FeetPanel({
  lessonId,
  entry,
  saved,
  measured,
  catalogue,
  hand,
}: {
  lessonId: string;
  entry: LessonEntry;
  saved: boolean;
  /** Readings from kept swings. */
  measured: Lesson["measured"];
  catalogue: Catalogue;
  hand: Hand;
}) {
  const [at, setAt] = useState("top");
  const [moment, setMoment] = useState<MomentName>("before");
  const [under, setUnder] = useState<Under>("nothing");
  const [second, setSecond] = useState("");
  const school = catalogue.schools.find((s) => s.id === entry.approach.pressure) ?? catalogue.schools[0]!;
  const other = catalogue.schools.find((s) => s.id === second);
  const feet = useQuery({
    ...queries.feet(lessonId, second || school.id),
    enabled: saved,
    placeholderData: keepPreviousData,
  });
  // What was measured is shown before what was entered of the same.
  const all = (of: MomentName): Reading[] => [
    ...measured.filter((m) => m.stage === of).map((m) => m.reading),
    ...entry[of].readings,
  ];
  const earlier = feet.data?.earlier;
  const unders: { id: Under; label: string; readings: Reading[] }[] = [
    { id: "nothing", label: "Nothing", readings: [] },
    ...(moment === "after" ? [{ id: "before" as const, label: "Before", readings: all("before") }] : []),
    ...(earlier
      ? [{ id: "earlier" as const, label: shortDay(earlier.heldOn), readings: earlier[moment].readings }]
      : []),
  ];
  const beneath = unders.find((u) => u.id === under) ?? unders[0]!;
  const readings = all(moment);
  const of = (id: string, among: Reading[] = readings) =>
    among.find((r) => r.id === id && r.at === at)?.value;
  const shares = (among: Reading[]) =>
    catalogue.checkpoints.flatMap((c) => {
      const reading = among.find((r) => r.id === "trail-share" && r.at === c.id);
      return reading ? [{ at: c.id, value: reading.value, source: reading.source }] : [];
    });
  const share = of("trail-share");
  const checkpoint = (id: string) => catalogue.checkpoints.find((c) => c.id === id)?.label;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <WhichBalls value={moment} onChange={setMoment} />
        {unders.length > 1 && (
          <div className="flex items-center gap-2">
            <span className="text-soft text-sm">Laid under</span>
            <Choice
              compact
              label="Laid under"
              value={beneath.id}
              options={unders}
              onChange={(u) => setUnder(u as Under)}
            />
          </div>
        )}
        <label className="flex items-center gap-2">
          <span className="text-soft text-sm">{school.label}, beside</span>
          <select value={second} onChange={(e) => setSecond(e.target.value)} aria-label="Second school">
            <option value="">no other school</option>
            {catalogue.schools
              .filter((s) => s.id !== school.id)
              .map((s) => (
                <option key={s.id} value={s.id}>
                  {s.label}
                </option>
              ))}
          </select>
        </label>
      </div>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-[17rem_1fr]">
        {share === undefined ? (
          <p className="text-soft border-line grid min-h-56 place-items-center border border-dashed p-6 text-center">
            Add a reading of the {hand} foot at {checkpoint(at)?.toLowerCase()} to see it here.
          </p>
        ) : (
          <div className="max-w-72">
            <Soles
              hand={hand}
              trailShare={share}
              trailToe={of("trail-toe")}
              leadToe={of("lead-toe")}
              trailOuter={of("trail-outer")}
              leadOuter={of("lead-outer")}
              corridor={school.corridors[at]}
              earlier={of("trail-share", beneath.readings)}
            />
          </div>
        )}
        <div>
          <p className="mb-1 font-semibold">Load under the {hand} (trail) foot, from address to finish</p>
          <ShareStrip
            checkpoints={catalogue.checkpoints}
            corridors={school.corridors}
            second={other?.corridors}
            readings={shares(readings)}
            earlier={shares(beneath.readings)}
            chosen={at}
            onChoose={setAt}
          />
          <p className="text-soft text-sm">
            Dashed band: {school.label.toLowerCase()}.
            {other && ` Dotted outline: ${other.label.toLowerCase()}.`}
            {beneath.id !== "nothing" && ` Open points: ${beneath.label.toLowerCase()}.`}
          </p>
          {feet.data && feet.data[moment].length > 0 && (
            <ul className="mt-3 grid gap-1">
              {feet.data[moment].map((d) => (
                <li key={`${d.at}${d.reading.source}`} className="grid grid-cols-[5.5rem_3rem_1fr] gap-2">
                  <span className="text-soft">{catalogue.checkpoints.find((c) => c.id === d.at)?.brief}</span>
                  <strong>{Math.round(d.reading.value)} %</strong>
                  <span className={d.kind === "fault-in-every-school" && d.told ? "font-semibold" : ""}>
                    {deviationSaid(d, school.label, other?.label ?? school.label)}
                  </span>
                </li>
              ))}
            </ul>
          )}
        </div>
      </div>
      <HipLineHelper lessonId={lessonId} entry={entry} catalogue={catalogue} hand={hand} />
    </div>
  );
}
