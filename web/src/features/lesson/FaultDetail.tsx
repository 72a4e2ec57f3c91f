import { Link } from "react-router";
import type { Catalogue, Diagnosis } from "@/api/types";

export type Finding = Diagnosis["faults"][number];

/** What a fault is, what speaks for and against it, what it is mistaken for, and what makes it worse. */
export function FaultDetail({ fault, catalogue }: { fault: Finding; catalogue: Catalogue }) {
  const info = catalogue.faults.find((f) => f.id === fault.id);
  return (
    <div className="grid gap-2">
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
      <p className="no-print">
        <Link to={`/faults/${fault.id}`}>What worked for it</Link>
      </p>
    </div>
  );
}

const SHOWN = 6;

function EvidenceList({ title, evidence }: { title: string; evidence: Finding["for"] }) {
  if (evidence.length === 0) return null;
  const most = Math.max(...evidence.map((e) => Math.abs(e.weight)));
  return (
    <div>
      <p className="text-soft text-sm">{title}</p>
      <ul>
        {evidence.slice(0, SHOWN).map((e) => (
          <li key={e.evidence} className="grid grid-cols-[3rem_1fr] gap-2">
            <span
              aria-hidden
              className="bg-strong-line mt-2 h-2 rounded"
              style={{ width: `${(100 * Math.abs(e.weight)) / most}%` }}
            />
            <span>
              {e.text}
              {e.why && <span className="text-soft block text-sm">{e.why}</span>}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
