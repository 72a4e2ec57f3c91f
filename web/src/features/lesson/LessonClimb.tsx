import { useQuery } from "@tanstack/react-query";
import { ChevronDown, ChevronUp } from "lucide-react";
import { useState } from "react";
import { newId } from "@/api/newId";
import { queries } from "@/api/queries";
import type { Catalogue, Lesson, LessonEntry, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { PartClock } from "@/ui/PartClock";
import { Wide } from "@/ui/Wide";
import { MOST_TRIES, type Try, triesOf, withTry } from "./changes";

type Part = Wire["ClimbPartView"];
const MINUTES = [15, 20, 30, 45, 60];
const NAME_LENGTH = 8;

/** The climb that the coach leads: each part is a stage with its own balls, one step on or one back. */
export function LessonClimb({
  lesson,
  entry,
  saved,
  catalogue,
  change,
}: {
  lesson: Lesson;
  entry: LessonEntry;
  saved: boolean;
  catalogue: Catalogue;
  change: (change: (entry: LessonEntry) => LessonEntry) => void;
}) {
  const [minutes, setMinutes] = useState(30);
  const climb = useQuery({
    ...queries.climb(lesson.id, minutes),
    enabled: saved,
    placeholderData: (was) => was,
  });
  const parts = climb.data ?? [];
  if (parts.length === 0) {
    const nothing = lesson.focus.length + lesson.diagnosis.focus.length === 0;
    return nothing ? (
      <p className="text-soft">
        Once something is likely, or chosen to work on, its climb stands here: drill, short, shoulder, full.
      </p>
    ) : null;
  }
  const tries = triesOf(entry);
  const last = tries.at(-1)?.tried;
  const at = parts.findIndex((part) => last && isAt(last, part));
  const to = (part: Part) =>
    change((e) =>
      withTry(e, newId().slice(0, NAME_LENGTH), part.drill, {
        length: part.length,
        begun: new Date().toISOString(),
        minutes: part.minutes,
      }),
    );
  const named = (part: Part) => part.label.toLowerCase();
  const lengthOf = (part: Part) =>
    catalogue.practice.swingLengths.find((l) => l.id === part.length)?.label.toLowerCase();
  const next = parts[at + 1];
  const back = parts[at - 1];
  const full = tries.length >= MOST_TRIES;
  return (
    <section aria-labelledby="climb" className="grid gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="climb">Climb to the full swing</h2>
        <label className="text-soft flex items-center gap-2">
          in
          <select
            className="min-h-11"
            aria-label="Minutes of the climb"
            value={minutes}
            onChange={(e) => setMinutes(Number(e.target.value))}
          >
            {MINUTES.map((m) => (
              <option key={m} value={m}>
                {m} min
              </option>
            ))}
          </select>
        </label>
      </div>
      <Wide label="Parts of the climb">
        <ol className="flex gap-1">
          {parts.map((part, i) => (
            <li
              key={i}
              aria-current={i === at ? "step" : undefined}
              style={{ marginTop: `${(parts.length - 1 - i) * 0.8}rem` }}
              className={`min-w-36 flex-1 border-t-4 px-2 py-1 ${i === at ? "border-ink bg-tint" : i < at ? "border-lead" : "border-line"}`}
            >
              <strong className="block">{part.label}</strong>
              <span className="text-soft block text-sm">
                {[catalogue.drills[part.drill]?.name, lengthOf(part)].filter(Boolean).join(" · ")}
              </span>
              <span className="text-sm">
                {i === at && last?.begun ? (
                  <PartClock key={last.begun} minutes={part.minutes} since={last.begun} />
                ) : (
                  `${part.minutes} min`
                )}
              </span>
            </li>
          ))}
        </ol>
      </Wide>
      <div className="flex flex-wrap items-center gap-2">
        {next && (
          <Button weight="main" disabled={full} onClick={() => to(next)}>
            <ChevronUp aria-hidden className="size-5" />
            {at < 0 ? `Begin: ${named(next)}` : `Held: on to ${named(next)}`}
          </Button>
        )}
        {back && (
          <Button disabled={full} onClick={() => to(back)}>
            <ChevronDown aria-hidden className="size-5" /> Lost it: back to {named(back)}
          </Button>
        )}
        {full && <span className="text-soft">A lesson holds {MOST_TRIES} stages.</span>}
      </div>
    </section>
  );
}

function isAt(tried: Try, part: Part): boolean {
  return tried.drill === part.drill && (tried.length ?? null) === (part.length ?? null);
}
