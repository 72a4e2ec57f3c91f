import { type FormEvent, useState } from "react";
import type { Catalogue, Diagnosis, LessonEntry, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { MetricField } from "@/ui/MetricField";
import { scaleOf } from "@/ui/units";
import { answered, DECIMALS, read } from "./changes";

const SHOWN = 4;

/** By what a look is done, where it is more than a glance. */
const TOOL: Record<string, string> = { screen: "body screen", clip: "clip", plate: "plate" };

type Change = (change: (entry: LessonEntry) => LessonEntry) => void;

/** What to look at or measure next, most telling per effort first, answered on the spot. */
export function NextLooks({
  diagnosis,
  catalogue,
  entry,
  change,
}: {
  diagnosis: Diagnosis;
  catalogue: Catalogue;
  entry: LessonEntry;
  change: Change;
}) {
  const taken = (next: Wire["NextReadingView"]) =>
    entry.before.readings.some((r) => r.id === next.id && r.at === next.at && r.source === next.source);
  const looks = [
    ...diagnosis.nextLooks
      .filter((l) => !entry.signs[l.sign])
      .map((l) => ({ worth: l.worth, row: <SignRow key={l.sign} {...{ look: l, catalogue, change }} /> })),
    ...diagnosis.nextReadings
      .filter((r) => !taken(r))
      .map((r) => ({
        worth: r.worth,
        row: <ReadingRow key={`${r.id}${r.at}`} {...{ next: r, catalogue, change }} />,
      })),
  ].sort((a, b) => b.worth - a.worth);
  if (looks.length === 0) return null;
  return (
    <section aria-labelledby="looks">
      <h2 id="looks">Look at this next</h2>
      <ul>{looks.slice(0, SHOWN).map((l) => l.row)}</ul>
    </section>
  );
}

function Row({
  label,
  how,
  effort,
  children,
}: {
  label: string;
  how: string;
  effort: string;
  children: React.ReactNode;
}) {
  return (
    <li className="border-line flex items-center gap-2 border-b py-1.5">
      <div className="flex-1">
        <p className="leading-tight font-semibold">
          {label}
          {TOOL[effort] && <span className="text-soft text-sm font-normal"> · {TOOL[effort]}</span>}
        </p>
        <p className="text-soft text-sm leading-snug">{how}</p>
      </div>
      {children}
    </li>
  );
}

function SignRow({
  look,
  catalogue,
  change,
}: {
  look: Wire["NextLookView"];
  catalogue: Catalogue;
  change: Change;
}) {
  const label = catalogue.signs.find((s) => s.id === look.sign)?.label ?? look.sign;
  return (
    <Row label={label} how={look.how} effort={look.effort}>
      {(["yes", "no"] as const).map((answer) => (
        <Button
          key={answer}
          className="px-3!"
          aria-label={`${answer === "yes" ? "Yes" : "No"}: ${label}`}
          onClick={() => change((e) => answered(e, look.sign, answer))}
        >
          {answer === "yes" ? "Yes" : "No"}
        </Button>
      ))}
    </Row>
  );
}

/** A measure asked for is the mean of this many swings. */
const SWINGS = 3;

function ReadingRow({
  next,
  catalogue,
  change,
}: {
  next: Wire["NextReadingView"];
  catalogue: Catalogue;
  change: Change;
}) {
  const [value, setValue] = useState<number | null>(null);
  const measure = catalogue.measures.find((m) => m.id === next.id);
  if (!measure) return null;
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (value === null) return;
    change((e) =>
      read(e, "before", { id: next.id, at: next.at, value, source: next.source, swings: SWINGS }),
    );
  };
  const where = catalogue.checkpoints.find((c) => c.id === next.at)?.brief.toLowerCase();
  const scale = scaleOf(catalogue.scales, measure.unit);
  const label = where ? `${measure.label}, ${where}` : measure.label;
  return (
    <Row label={label} how={next.how} effort={next.effort}>
      <form onSubmit={add} className="flex items-center gap-1">
        <MetricField
          scale={scale}
          aria-label={`${label}, in ${scale.unit}`}
          className="min-h-11 w-16"
          placeholder={scale.unit}
          lowest={measure.lowest}
          highest={measure.highest}
          decimals={DECIMALS}
          value={value}
          onChange={setValue}
        />
        <Button type="submit" className="px-3!" aria-label={`Add: ${label}`} disabled={value === null}>
          Add
        </Button>
      </form>
    </Row>
  );
}
