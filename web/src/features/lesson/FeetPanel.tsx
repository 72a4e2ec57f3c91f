import { useState } from "react";
import type { Catalogue, Hand, LessonEntry } from "@/api/types";
import { Choice } from "@/ui/Choice";
import { ShareStrip } from "../feet/ShareStrip";
import { Soles } from "../feet/Soles";
import type { MomentName } from "./changes";

/** The pair of soles with this lesson's readings, moved through the checkpoints against the school's corridor. */
export function FeetPanel({
  entry,
  catalogue,
  hand,
}: {
  entry: LessonEntry;
  catalogue: Catalogue;
  hand: Hand;
}) {
  const [at, setAt] = useState("top");
  const [moment, setMoment] = useState<MomentName>("before");
  const school = catalogue.schools.find((s) => s.id === entry.approach.pressure) ?? catalogue.schools[0]!;
  const corridor = school.corridors[at];
  const of = (id: string, checkpoint: string, when: MomentName = moment) =>
    entry[when].readings.find((r) => r.id === id && r.at === checkpoint)?.value;
  const shares = (when: MomentName) =>
    catalogue.checkpoints.flatMap((c) => {
      const reading = entry[when].readings.find((r) => r.id === "trail-share" && r.at === c.id);
      return reading ? [{ at: c.id, value: reading.value, source: reading.source }] : [];
    });
  const share = of("trail-share", at);
  const label = catalogue.checkpoints.find((c) => c.id === at)?.label;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-center gap-4">
        <Choice
          label="Which balls"
          value={moment}
          options={[
            { id: "before", label: "Before" },
            { id: "after", label: "After" },
          ]}
          onChange={(m) => setMoment(m as MomentName)}
        />
        <p className="text-soft">
          School: {school.label}. {share === undefined ? `No reading at ${label?.toLowerCase()}.` : ""}
        </p>
      </div>
      <div className="grid gap-4">
        {share === undefined ? (
          <p className="text-soft border-line grid min-h-56 max-w-80 place-items-center border border-dashed p-6 text-center">
            Add a reading of the trail foot at {label?.toLowerCase()} to see it here.
          </p>
        ) : (
          <div className="w-72">
            <Soles
              hand={hand}
              trailShare={share}
              trailToe={of("trail-toe", at)}
              leadToe={of("lead-toe", at)}
              trailOuter={of("trail-outer", at)}
              leadOuter={of("lead-outer", at)}
              corridor={corridor}
            />
          </div>
        )}
        <div>
          <p className="mb-1 font-semibold">Load under the {hand} (trail) foot, from address to finish</p>
          <ShareStrip
            checkpoints={catalogue.checkpoints}
            corridors={school.corridors}
            readings={shares(moment)}
            earlier={moment === "after" ? shares("before") : []}
            chosen={at}
            onChoose={setAt}
          />
          <p className="text-soft text-sm">
            Dashed band: what the school wants. {moment === "after" && "Dotted line: before."}
          </p>
        </div>
      </div>
    </div>
  );
}
