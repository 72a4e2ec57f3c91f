import type { Catalogue, Diagnosis, Wire } from "@/api/types";
import { scaleOf } from "@/ui/units";
import { Wide } from "@/ui/Wide";
import { judgedBy } from "../lesson/evidence";

type Measured = Wire["MeasuredView"];

const FINE = ["tempo-ratio", "stance-ratio"];

/**
 * What a film says: of the whole swing, and moment by moment, each value with what it may be off by. What the faults in
 * question rest on stands out; against another clip each value has its change.
 */
export function ClipReadings({
  readings,
  against,
  catalogue,
  diagnosis,
}: {
  readings: Measured[];
  against?: Measured[];
  catalogue: Catalogue;
  diagnosis?: Diagnosis;
}) {
  const matters = judgedBy(
    (diagnosis?.faults ?? []).filter((f) => f.grade === "likely" || f.grade === "possible"),
  );
  const of = (list: Measured[] | undefined, measure: string, at: string | null) =>
    list?.find((r) => r.measure === measure && (r.at ?? null) === at);
  const measure = (id: string) => catalogue.measures.find((m) => m.id === id);
  const unit = (id: string) => scaleOf(catalogue.scales, measure(id)?.unit ?? "");
  const said = (id: string, value: number) => {
    const text = (value * unit(id).factor).toFixed(FINE.includes(id) ? 1 : 0);
    return Number(text) === 0 ? text.replace("-", "") : text;
  };
  const cell = (id: string, at: string | null) => {
    const reading = of(readings, id, at);
    if (!reading) return null;
    const was = of(against, id, at);
    const change = was && said(id, reading.value - was.value);
    return (
      <>
        <strong
          className={matters.has(at ? `${id}@${at}` : id) ? "bg-tint rounded px-1" : "px-1 font-normal"}
        >
          {said(id, reading.value)}
        </strong>
        <span className="text-soft text-sm"> ± {said(id, 2 * reading.uncertainty)}</span>
        {change !== undefined && (
          <span className="block text-sm">
            <span className="sr-only">changed by </span>
            {Number(change) > 0 ? `+${change}` : change}
          </span>
        )}
      </>
    );
  };
  const whole = readings.filter((r) => !r.at).map((r) => r.measure);
  const moments = catalogue.checkpoints.filter((c) => readings.some((r) => r.at === c.id));
  const rows = [...new Set(readings.filter((r) => r.at).map((r) => r.measure))];
  return (
    <div className="grid gap-3">
      <dl className="flex flex-wrap gap-x-6 gap-y-1">
        {whole.map((id) => (
          <div key={id}>
            <dt className="text-soft text-sm">
              {measure(id)?.label}
              {unit(id).unit && `, ${unit(id).unit}`}
            </dt>
            <dd className="tabular-nums">{cell(id, null)}</dd>
          </div>
        ))}
      </dl>
      {rows.length > 0 && (
        <Wide label="What the film says">
          <table className="w-full tabular-nums">
            <thead>
              <tr className="border-line border-b text-left text-sm">
                <th scope="col" className="sr-only">
                  Measure
                </th>
                {moments.map((m) => (
                  <th key={m.id} scope="col" className="px-2 font-semibold">
                    {m.brief}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((id) => (
                <tr key={id} className="border-line border-b align-top">
                  <th scope="row" className="py-1 pr-2 text-left font-normal">
                    {measure(id)?.label}, {unit(id).unit}
                  </th>
                  {moments.map((m) => (
                    <td key={m.id} className="px-2 py-1 whitespace-nowrap">
                      {cell(id, m.id)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Wide>
      )}
    </div>
  );
}
