import { X } from "lucide-react";
import { type FormEvent, useState } from "react";
import type { Catalogue, LessonEntry, MomentName } from "@/api/types";
import { Button } from "@/ui/Button";
import { inDigits } from "@/ui/number";
import { MetricField } from "@/ui/MetricField";
import { NumberField } from "@/ui/NumberField";
import { scaleOf, toSaid } from "@/ui/units";
import { DECIMALS, read, unread } from "./changes";

/** A few measures with their source and number of swings. */
export function ReadingsForm({
  entry,
  moment,
  catalogue,
  change,
}: {
  entry: LessonEntry;
  moment: MomentName;
  catalogue: Catalogue;
  change: (change: (entry: LessonEntry) => LessonEntry) => void;
}) {
  const measures = catalogue.measures.filter((m) => m.sources.length > 0);
  const [id, setId] = useState("trail-share");
  const [at, setAt] = useState("top");
  const [value, setValue] = useState<number | null>(null);
  const [source, setSource] = useState("seen");
  const [swings, setSwings] = useState(3);
  const measure = measures.find((m) => m.id === id) ?? measures[0]!;
  const sources = catalogue.sources.filter((s) => measure.sources.includes(s.id));
  const moments = catalogue.checkpoints.filter((c) => measure.asks.includes(c.id));
  const scale = scaleOf(catalogue.scales, measure.unit);
  const askedAt = measure.asks.includes(at) ? at : (measure.asks[measure.asks.length - 1] ?? at);
  const usable = sources.some((s) => s.id === source) ? source : (sources[0]?.id ?? "seen");

  const add = (event: FormEvent) => {
    event.preventDefault();
    if (value === null) return;
    change((e) =>
      read(e, moment, {
        id: measure.id,
        at: measure.atCheckpoint ? askedAt : undefined,
        value,
        source: usable,
        swings,
      }),
    );
    setValue(null);
  };

  return (
    <div className="grid gap-2">
      <form onSubmit={add} className="flex flex-wrap items-center gap-2" aria-label="Add a reading">
        <select
          aria-label="Measure"
          className="max-w-[min(18rem,100%)]"
          value={measure.id}
          onChange={(e) => setId(e.target.value)}
        >
          {measures.map((m) => (
            <option key={m.id} value={m.id}>
              {m.label}
            </option>
          ))}
        </select>
        {measure.atCheckpoint && (
          <select aria-label="Checkpoint" value={askedAt} onChange={(e) => setAt(e.target.value)}>
            {moments.map((c) => (
              <option key={c.id} value={c.id}>
                {c.label}
              </option>
            ))}
          </select>
        )}
        <MetricField
          scale={scale}
          aria-label={`Value in ${scale.unit}`}
          placeholder={scale.unit}
          lowest={measure.lowest}
          highest={measure.highest}
          decimals={DECIMALS}
          value={value}
          onChange={setValue}
        />
        <span>{scale.unit}</span>
        <select aria-label="Source" value={usable} onChange={(e) => setSource(e.target.value)}>
          {sources.map((s) => (
            <option key={s.id} value={s.id}>
              {s.label}
            </option>
          ))}
        </select>
        <label className="flex items-center gap-1">
          <NumberField
            aria-label="Swings averaged"
            className="w-16"
            required
            lowest={1}
            highest={200}
            value={swings}
            onChange={(n) => n !== null && setSwings(n)}
          />
          swings
        </label>
        <Button type="submit" disabled={value === null}>
          Add
        </Button>
      </form>
      <ul className="flex flex-wrap gap-2">
        {entry[moment].readings.map((reading, index) => {
          const of = catalogue.measures.find((m) => m.id === reading.id);
          const scale = scaleOf(catalogue.scales, of?.unit ?? "");
          const where = catalogue.checkpoints.find((c) => c.id === reading.at)?.label.toLowerCase();
          return (
            <li
              key={`${reading.id}${reading.at}${reading.source}`}
              className="border-line bg-sheet inline-flex items-center rounded border pl-2"
            >
              <span>
                {of?.label}
                {where ? `, ${where}` : ""}:{" "}
                <strong>{inDigits(toSaid(reading.value, scale), DECIMALS)}</strong> {scale.unit}{" "}
                <span className="text-soft text-sm">
                  {reading.source}, {reading.swings}
                </span>
              </span>
              <button
                type="button"
                aria-label={`Remove ${of?.label} ${where ?? ""}`}
                className="hover:bg-tint grid size-9 place-items-center"
                onClick={() => change((e) => unread(e, moment, index))}
              >
                <X aria-hidden className="size-4" />
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
