import { Maximize2 } from "lucide-react";
import { lazy, Suspense, useState } from "react";
import type { Catalogue, Lesson, LessonEntry } from "@/api/types";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Empty } from "@/ui/Notice";
import { ChainPicture } from "./ChainPicture";
import { FaultDetail } from "./FaultDetail";
import { WhatIf } from "./WhatIf";

const OwnGolfer = lazy(() => import("../golfer/OwnGolfer").then((m) => ({ default: m.OwnGolfer })));
const FaultGolfer = lazy(() => import("../golfer/FaultGolfer").then((m) => ({ default: m.FaultGolfer })));
const ShowStudent = lazy(() => import("./ShowStudent"));

/** This fault alone, and how far; or the swing as it is. */
const SWINGS = [
  { id: "0.35", label: "A little" },
  { id: "0.65", label: "Clearly" },
  { id: "1", label: "Fully" },
  { id: "own", label: "Own swing" },
];

/** Why: the chain from root to ball, each fault opening to its evidence, and what rests on what. */
export function WhyPanel({
  lesson,
  entry,
  catalogue,
}: {
  lesson: Lesson;
  entry: LessonEntry;
  catalogue: Catalogue;
}) {
  const { diagnosis } = lesson;
  const [chosen, setChosen] = useState<string>();
  const [showing, setShowing] = useState(false);
  const [swing, setSwing] = useState("1");
  const shown = diagnosis.faults.filter((f) => f.grade === "likely" || f.grade === "possible");
  const fault =
    shown.find((f) => f.id === chosen) ?? shown.find((f) => f.id === diagnosis.focus[0]) ?? shown[0];
  const label = catalogue.faults.find((f) => f.id === fault?.id)?.label;
  if (!fault) {
    return (
      <Empty>
        <p>No fault is even possible on what was seen so far. Answer the next looks first.</p>
      </Empty>
    );
  }
  return (
    <>
      <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <div className="lg:col-span-2">
          <ChainPicture diagnosis={diagnosis} catalogue={catalogue} chosen={fault.id} onChoose={setChosen} />
        </div>
        <section aria-labelledby="why-fault" className="max-w-3xl text-lg">
          <div className="flex items-center justify-between gap-4">
            <h2 id="why-fault" className="text-2xl">
              {label}
            </h2>
            <Button weight="quiet" className="no-print" onClick={() => setShowing(true)}>
              <Maximize2 aria-hidden className="size-4" />
              Show the student
            </Button>
          </div>
          <FaultDetail fault={fault} catalogue={catalogue} />
        </section>
        <Suspense>
          <div className="grid content-start gap-2">
            <Choice
              compact
              label={`${label}, or the own swing`}
              value={swing}
              options={SWINGS}
              onChange={setSwing}
            />
            {swing === "own" ? (
              <OwnGolfer lesson={lesson} school={entry.approach.pressure!} said="The student's own swing." />
            ) : (
              <FaultGolfer
                faults={{ [fault.id]: Number(swing) }}
                lesson={lesson}
                school={entry.approach.pressure!}
                said={`${label}, ${SWINGS.find((s) => s.id === swing)!.label.toLowerCase()}.`}
              />
            )}
          </div>
          {showing && (
            <ShowStudent
              lesson={lesson}
              entry={entry}
              catalogue={catalogue}
              onClose={() => setShowing(false)}
            />
          )}
        </Suspense>
      </div>
      <WhatIf lesson={lesson} entry={entry} catalogue={catalogue} />
    </>
  );
}
