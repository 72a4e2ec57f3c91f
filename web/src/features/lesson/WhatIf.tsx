import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Diagnosis, Lesson, LessonEntry } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";
import { type Piece, pieces, without } from "./evidence";

/** A smaller move is not worth a line. */
const MOVED = 0.02;

/** Switches pieces of evidence off and shows how the ranking moves; nothing is stored. */
export function WhatIf({
  lesson,
  entry,
  catalogue,
}: {
  lesson: Lesson;
  entry: LessonEntry;
  catalogue: Catalogue;
}) {
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const all = pieces(lesson, entry, catalogue);
  const silent = all.filter((p) => !p.tells);
  const instead = useQuery({
    ...queries.whatIf(without(lesson, entry, off)),
    enabled: off.size > 0,
    placeholderData: keepPreviousData,
  });
  const toggle = (key: string) => {
    const next = new Set(off);
    if (!next.delete(key)) next.add(key);
    setOff(next);
  };
  if (all.length === 0) return null;
  return (
    <section aria-labelledby="what-if" className="grid content-start gap-2">
      <h2 id="what-if">What rests on what</h2>
      <p className="text-soft">Switch a piece off to see what would be left. The lesson stays as it is.</p>
      <div className="grid items-start gap-x-8 gap-y-4 md:grid-cols-[1fr_18rem]">
        <div className="grid gap-2">
          <Pieces pieces={all.filter((p) => p.tells)} off={off} onToggle={toggle} />
          {silent.length > 0 && (
            <details>
              <summary className="text-soft w-fit cursor-pointer py-1">
                {silent.length} more {silent.length === 1 ? "reading" : "readings"}, by which no fault is
                judged alone
              </summary>
              <Pieces pieces={silent} off={off} onToggle={toggle} />
            </details>
          )}
        </div>
        {off.size > 0 && (
          <div aria-live="polite" className="sticky top-4 grid justify-items-start gap-2">
            {instead.isError && <Failed error={instead.error} />}
            {instead.data && <Moves was={lesson.diagnosis} now={instead.data} catalogue={catalogue} />}
            <Button onClick={() => setOff(new Set())}>Put everything back</Button>
          </div>
        )}
      </div>
    </section>
  );
}

function Pieces({
  pieces,
  off,
  onToggle,
}: {
  pieces: Piece[];
  off: ReadonlySet<string>;
  onToggle: (key: string) => void;
}) {
  return (
    <ul className="grid gap-x-4 lg:grid-cols-2">
      {pieces.map((piece) => (
        <li key={piece.key}>
          <label className="flex min-h-11 items-center gap-2 leading-tight">
            <input type="checkbox" checked={!off.has(piece.key)} onChange={() => onToggle(piece.key)} />
            <span className={off.has(piece.key) ? "text-soft line-through" : ""}>{piece.label}</span>
          </label>
        </li>
      ))}
    </ul>
  );
}

function Moves({ was, now, catalogue }: { was: Diagnosis; now: Diagnosis; catalogue: Catalogue }) {
  const label = (id: string) => catalogue.faults.find((f) => f.id === id)?.label ?? id;
  const moved = now.faults
    .map((f) => ({ ...f, before: was.faults.find((w) => w.id === f.id)?.probability ?? 0 }))
    .filter((f) => Math.abs(f.probability - f.before) >= MOVED)
    .sort((a, b) => Math.abs(b.probability - b.before) - Math.abs(a.probability - a.before));
  return (
    <div className="grid gap-1">
      <p>
        To work on then:{" "}
        <strong>{now.focus.length > 0 ? now.focus.map(label).join(", then ") : "nothing is likely"}</strong>
      </p>
      {moved.length === 0 ? (
        <p className="text-soft">Hardly anything moves: the rest says the same.</p>
      ) : (
        <ul>
          {moved.slice(0, 8).map((f) => (
            <li key={f.id}>
              {label(f.id)}: {percent(f.before)} → <strong>{percent(f.probability)}</strong>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

const percent = (p: number) => `${Math.round(p * 100)} %`;
