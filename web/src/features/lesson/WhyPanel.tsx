import { Maximize2 } from "lucide-react";
import { useRef, useState } from "react";
import type { Catalogue, Lesson, LessonEntry } from "@/api/types";
import { Button } from "@/ui/Button";
import { Empty } from "@/ui/Notice";
import { ChainPicture } from "./ChainPicture";
import { FaultDetail } from "./FaultDetail";
import { WhatIf } from "./WhatIf";

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
  const picture = useRef<HTMLDivElement>(null);
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
  const onScreen = () =>
    document.fullscreenElement ? document.exitFullscreen() : picture.current?.requestFullscreen();
  return (
    <>
      <div ref={picture} className="bg-paper grid content-center gap-4 overflow-auto [&:fullscreen]:p-10">
        <ChainPicture diagnosis={diagnosis} catalogue={catalogue} chosen={fault.id} onChoose={setChosen} />
        <section aria-labelledby="why-fault" className="max-w-3xl text-lg">
          <div className="flex items-center justify-between gap-4">
            <h2 id="why-fault" className="text-2xl">
              {label}
            </h2>
            <Button weight="quiet" className="no-print" onClick={onScreen}>
              <Maximize2 aria-hidden className="size-4" />
              Show the student
            </Button>
          </div>
          <FaultDetail fault={fault} catalogue={catalogue} />
        </section>
      </div>
      <WhatIf lesson={lesson} entry={entry} catalogue={catalogue} />
    </>
  );
}
