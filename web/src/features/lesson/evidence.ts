import type { Catalogue, Diagnosis, Lesson, LessonEntry, Wire } from "@/api/types";
import { total } from "../progress/tally";

/**
 * One thing that was entered or measured and that the diagnosis rests on.
 *
 * @property tells whether some fault is judged by it for itself; the others may tell together
 */
export type Piece = { key: string; label: string; tells: boolean };

const KINDS = [
  { id: "flight", label: "Flight of the balls" },
  { id: "strike", label: "Strike" },
  { id: "divot", label: "Divots" },
] as const;

const readingKey = (r: Wire["ReadingEntry"]) => `${r.id}@${r.at ?? ""}/${r.source}`;

/** What some faults are judged by: measure@moment, or the measure alone. */
export function judgedBy(faults: Diagnosis["faults"]): Set<string> {
  return new Set(faults.flatMap((f) => [...f.for, ...f.against]).map((e) => e.evidence.split(/[<>]/)[0]!));
}

/** What was read before the first cue: from kept swings, and as entered. */
function readingsBefore(lesson: Lesson, entry: LessonEntry): Wire["ReadingEntry"][] {
  const measured = lesson.measured.filter((m) => m.stage === "before").map((m) => m.reading);
  const known = new Set(measured.map(readingKey));
  return [...measured, ...entry.before.readings.filter((r) => !known.has(readingKey(r)))];
}

/** What earlier lessons leave to be believed, as one piece. */
const HISTORY = "history";

/** Everything known before the first cue, in the order of the page; what earlier lessons leave stands first. */
export function pieces(lesson: Lesson, entry: LessonEntry, catalogue: Catalogue): Piece[] {
  const judged = judgedBy(lesson.diagnosis.faults);
  const where = (at?: string | null) => catalogue.checkpoints.find((c) => c.id === at)?.brief.toLowerCase();
  const earlier = lesson.history.length;
  return [
    ...(earlier > 0
      ? [
          {
            key: HISTORY,
            label: earlier === 1 ? "The lesson before" : `The ${earlier} lessons before`,
            tells: true,
          },
        ]
      : []),
    ...KINDS.filter((k) => total(entry.before.shots[k.id]) > 0).map((k) => ({
      key: k.id as string,
      label: `${k.label}: ${Object.entries(entry.before.shots[k.id] ?? {})
        .map(
          ([id, n]) =>
            `${n} ${catalogue.ballResults.find((r) => r.kind === k.id && r.id === id)?.label ?? id}`,
        )
        .join(", ")}`,
      tells: true,
    })),
    ...catalogue.signs
      .filter((s) => entry.signs[s.id])
      .map((s) => ({
        key: s.id,
        label: `${entry.signs[s.id] === "yes" ? "" : "Not: "}${s.label}`,
        tells: true,
      })),
    ...readingsBefore(lesson, entry).map((r) => {
      const measure = catalogue.measures.find((m) => m.id === r.id);
      return {
        key: readingKey(r),
        label: `${measure?.label ?? r.id}${r.at ? `, ${where(r.at)}` : ""}: ${Number(r.value.toFixed(1))} ${measure?.unit ?? ""} (${r.source})`,
        tells: judged.has(r.at ? `${r.id}@${r.at}` : r.id),
      };
    }),
  ];
}

/** What the calculator is asked with some pieces switched off. */
export function without(
  lesson: Lesson,
  entry: LessonEntry,
  off: ReadonlySet<string>,
): Wire["DiagnosisRequest"] {
  return {
    handedness: lesson.handedness,
    approach: entry.approach,
    signs: Object.fromEntries(Object.entries(entry.signs).filter(([id]) => !off.has(id))),
    measures: readingsBefore(lesson, entry).filter((r) => !off.has(readingKey(r))),
    shots: Object.fromEntries(
      KINDS.map((k) => [k.id, off.has(k.id) ? {} : (entry.before.shots[k.id] ?? {})]),
    ) as Wire["ShotsEntry"],
    on: lesson.heldOn,
    history: off.has(HISTORY) ? [] : lesson.history,
  };
}
