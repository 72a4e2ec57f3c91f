import type { Catalogue, Diagnosis, Wire } from "@/api/types";
import { scaleOf } from "@/ui/units";
import { judgedBy } from "../lesson/evidence";

type Measured = Wire["MeasuredView"];

/** What a film says, moment by moment, each value with what it may be off by; what the faults in question rest on stands out. */
export function ClipReadings({
  readings,
  against,
  catalogue,
  diagnosis,
}: {
  readings: Measured[];
  /** Those of another clip, to see the change. */
  against?: Measured[];
  catalogue: Catalogue;
  diagnosis: Diagnosis;
}) {
  const matters = judgedBy(diagnosis.faults.filter((f) => f.grade === "likely" || f.grade === "possible"));
  const order = [null, ...catalogue.checkpoints.map((c) => c.id)];
  const at = (r: Measured) => r.at ?? null;
  const groups = order.flatMap((moment) => {
    const of = readings.filter((r) => at(r) === moment);
    return of.length > 0 ? [{ moment, of }] : [];
  });
  return (
    <table className="w-full">
      <thead className="sr-only">
        <tr>
          <th>What</th>
          <th>Value</th>
          <th>May be off by</th>
          {against && <th>Change</th>}
        </tr>
      </thead>
      {groups.map(({ moment, of }) => (
        <tbody key={moment ?? ""}>
          <tr>
            <th colSpan={4} className="text-soft pt-2 text-left text-sm font-semibold">
              {moment ? catalogue.checkpoints.find((c) => c.id === moment)?.brief : "The whole swing"}
            </th>
          </tr>
          {of.map((r) => {
            const measure = catalogue.measures.find((m) => m.id === r.measure);
            const scale = scaleOf(catalogue.scales, measure?.unit ?? "");
            const digits = r.measure === "tempo-ratio" || r.measure === "stance-ratio" ? 1 : 0;
            const shown = (value: number) => (value * scale.factor).toFixed(digits);
            const was = against?.find((o) => o.measure === r.measure && at(o) === at(r));
            const key = moment ? `${r.measure}@${moment}` : r.measure;
            return (
              <tr key={r.measure} className="border-line border-b">
                <td className="py-1">{measure?.label ?? r.measure}</td>
                <td className="text-right whitespace-nowrap tabular-nums">
                  <span className={matters.has(key) ? "bg-tint rounded px-1 font-semibold" : "px-1"}>
                    {shown(r.value)}
                  </span>{" "}
                  <span className="text-soft inline-block min-w-8 text-left">{scale.unit}</span>
                </td>
                <td className="text-soft w-14 text-right whitespace-nowrap tabular-nums">
                  ± {shown(2 * r.uncertainty)}
                </td>
                {against && (
                  <td className="w-14 text-right whitespace-nowrap tabular-nums">
                    {was && `${r.value >= was.value ? "+" : ""}${shown(r.value - was.value)}`}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      ))}
    </table>
  );
}
