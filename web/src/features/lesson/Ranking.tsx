import { ChevronRight } from "lucide-react";
import { useState } from "react";
import type { Catalogue, Diagnosis } from "@/api/types";
import { Button } from "@/ui/Button";
import { FaultDetail, type Finding } from "./FaultDetail";

export const GRADE: Record<string, string> = {
  likely: "likely",
  possible: "possible",
  unlikely: "unlikely",
  "not-enough-seen": "not enough seen",
};
const SHOWN = 6;

/** The faults, most probable first, each opening to what speaks for and against it. */
export function Ranking({ diagnosis, catalogue }: { diagnosis: Diagnosis; catalogue: Catalogue }) {
  const [all, setAll] = useState(false);
  const worth = diagnosis.faults.filter((f) => f.grade === "likely" || f.grade === "possible");
  const shown = all ? diagnosis.faults : diagnosis.faults.slice(0, Math.max(SHOWN, worth.length));
  return (
    <div>
      <ol aria-label="Faults, most probable first">
        {shown.map((fault) => (
          <FaultRow key={fault.id} fault={fault} catalogue={catalogue} />
        ))}
      </ol>
      <Button weight="quiet" className="mt-1 px-2! text-sm" onClick={() => setAll(!all)}>
        {all ? "Fewer" : `All ${diagnosis.faults.length}`}
      </Button>
    </div>
  );
}

function FaultRow({ fault, catalogue }: { fault: Finding; catalogue: Catalogue }) {
  const info = catalogue.faults.find((f) => f.id === fault.id);
  const strong = fault.grade === "likely";
  return (
    <li className="border-line border-b">
      <details className="group">
        <summary className="grid min-h-11 cursor-pointer list-none grid-cols-[1rem_1fr_auto] items-center gap-x-2 py-1">
          <ChevronRight aria-hidden className="size-4 group-open:rotate-90" />
          <span className={strong ? "font-serif font-semibold" : "font-serif"}>{info?.label}</span>
          <span className={`text-sm ${strong ? "font-semibold" : "text-soft"}`}>
            {GRADE[fault.grade]} {Math.round(fault.probability * 100)} %
          </span>
          <span aria-hidden className="bg-tint col-start-2 col-end-4 h-1.5 rounded-full">
            <span
              className={`moves block h-full rounded-full ${strong ? "bg-ink" : "bg-strong-line"}`}
              style={{ width: `${fault.probability * 100}%` }}
            />
          </span>
        </summary>
        <div className="pb-3 pl-6 text-[0.95rem]">
          <FaultDetail fault={fault} catalogue={catalogue} />
        </div>
      </details>
    </li>
  );
}
