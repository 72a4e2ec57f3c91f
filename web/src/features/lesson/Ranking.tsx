import { ChevronRight } from "lucide-react";
import { useState } from "react";
import type { Catalogue, Diagnosis } from "@/api/types";
import { Button } from "@/ui/Button";

const GRADE: Record<string, string> = {
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

function FaultRow({ fault, catalogue }: { fault: Diagnosis["faults"][number]; catalogue: Catalogue }) {
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
        <div className="grid gap-2 pb-3 pl-6 text-[0.95rem]">
          <p>{info?.what}</p>
          <EvidenceList title="Speaks for it" evidence={fault.for} />
          <EvidenceList title="Speaks against it" evidence={fault.against} />
          <p>
            <span className="text-soft">Looks alike: </span>
            {info?.lookAlike}
          </p>
          <p>
            <span className="text-soft">Makes it worse: </span>
            {info?.trap}
          </p>
        </div>
      </details>
    </li>
  );
}

function EvidenceList({ title, evidence }: { title: string; evidence: Diagnosis["faults"][number]["for"] }) {
  if (evidence.length === 0) return null;
  const most = Math.max(...evidence.map((e) => Math.abs(e.weight)));
  return (
    <div>
      <p className="text-soft text-sm">{title}</p>
      <ul>
        {evidence.slice(0, 6).map((e) => (
          <li key={e.evidence} className="grid grid-cols-[3rem_1fr] items-center gap-2">
            <span
              aria-hidden
              className="bg-strong-line h-2 justify-self-end rounded"
              style={{ width: `${(100 * Math.abs(e.weight)) / most}%` }}
            />
            <span>{e.text}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
