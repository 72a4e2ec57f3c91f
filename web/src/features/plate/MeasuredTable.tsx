import type { Catalogue, Diagnosis, MomentName, Wire } from "@/api/types";
import { scaleOf } from "@/ui/units";
import { Wide } from "@/ui/Wide";
import { judgedBy } from "../lesson/evidence";

type Swing = Wire["SwingView"];

const AT_MOMENTS = ["trail-share", "trail-toe", "lead-toe", "trail-outer", "lead-outer"];

/**
 * What a swing says and what the kept ones say together: of the whole swing, and moment by moment. What the faults in
 * question are judged by stands out.
 */
export function MeasuredTable({
  view,
  stage,
  chosen,
  last,
  catalogue,
  diagnosis,
  onOwnSpread,
}: {
  view: Wire["SwingsView"];
  stage: MomentName;
  chosen: Swing;
  /** The last kept swing before it. */
  last?: Swing;
  catalogue: Catalogue;
  diagnosis: Diagnosis;
  onOwnSpread: (own: boolean) => void;
}) {
  const joints = view.measured.filter((j) => j.stage === stage);
  const kept = view.swings.filter((s) => s.stage === stage && s.state === "kept").length;
  const spreads = joints.flatMap((j) =>
    j.own === null || j.own === undefined ? [] : [{ ...j, own: Math.max(j.own, j.uncertainty) }],
  );
  const told = spreads.find((j) => j.at === "impact") ?? spreads[0];
  const matters = judgedBy(diagnosis.faults.filter((f) => f.grade === "likely" || f.grade === "possible"));
  const label = (id: string) => catalogue.measures.find((m) => m.id === id)?.label ?? id;
  const unit = (id: string) =>
    scaleOf(catalogue.scales, catalogue.measures.find((m) => m.id === id)?.unit ?? "").unit;
  const reading = (swing: Swing | undefined, measure: string, at: string | null) =>
    swing?.readings.find((r) => r.measure === measure && (r.at ?? null) === at);
  const joint = (measure: string, at: string | null) =>
    joints.find((j) => j.measure === measure && (j.at ?? null) === at);
  const cell = (measure: string, at: string | null) => {
    const mine = reading(chosen, measure, at);
    const before = reading(last, measure, at);
    const mean = joint(measure, at);
    if (!mine && !mean) return null;
    const change = mine && before ? Math.round(mine.value - before.value) : 0;
    const said = mine && `± ${Math.max(1, Math.round(2 * mine.uncertainty))}`;
    return (
      <>
        <strong
          title={said}
          className={
            matters.has(at ? `${measure}@${at}` : measure) ? "bg-tint rounded px-1" : "px-1 font-normal"
          }
        >
          {mine ? Math.round(mine.value) : "–"}
        </strong>
        {change !== 0 && (
          <span className="text-soft text-xs" title={`Against swing ${last!.number}`}>
            {change > 0 ? "+" : "−"}
            {Math.abs(change)}
          </span>
        )}
        {mean && (
          <span className="text-soft ml-1" title={`Mean of ${mean.swings} kept swings`}>
            {at === null && "mean "}
            {Math.round(mean.mean)}
          </span>
        )}
      </>
    );
  };
  const whole = [
    ...new Set(
      [...chosen.readings, ...joints].filter((r) => !AT_MOMENTS.includes(r.measure)).map((r) => r.measure),
    ),
  ];
  const columns = AT_MOMENTS.filter((m) => [...chosen.readings, ...joints].some((r) => r.measure === m));
  const missing = view.readingFrom - kept;
  return (
    <section aria-labelledby="joint" className="grid gap-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 id="joint">Readings</h2>
        <p className="text-soft text-sm">
          {missing <= 0
            ? `${kept} kept swings are readings of this lesson.`
            : `${missing} more kept swing${missing === 1 ? "" : "s"} and they are readings of this lesson.`}
        </p>
        {kept >= view.spreadFrom && told && (
          <label className="flex min-h-11 items-center gap-2 text-sm no-print">
            <input
              type="checkbox"
              className="size-5"
              checked={view.ownSpread}
              onChange={(e) => onOwnSpread(e.target.checked)}
            />
            Judge by the swings&rsquo; own spread ({label(told.measure)}: {told.own.toFixed(1)}, assumed{" "}
            {told.assumed.toFixed(1)})
          </label>
        )}
      </div>
      <dl className="flex flex-wrap gap-x-6 gap-y-1">
        {whole.map((m) => (
          <div key={m}>
            <dt className="text-soft text-sm">{label(m)}</dt>
            <dd>
              {cell(m, null)} {unit(m)}
            </dd>
          </div>
        ))}
      </dl>
      <Wide label="Measured">
        <table className="w-full text-sm">
          <thead>
            <tr className="text-soft text-left align-bottom">
              <th scope="col">
                <span className="sr-only">Moment</span>
              </th>
              {columns.map((m) => (
                <th key={m} scope="col" className="pr-3 font-normal">
                  {label(m)}, %
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {catalogue.checkpoints
              .filter((c) => columns.some((m) => reading(chosen, m, c.id) || joint(m, c.id)))
              .map((c) => (
                <tr key={c.id} className="border-line border-t">
                  <th scope="row" className="py-1 pr-3 text-left whitespace-nowrap">
                    {c.brief}
                  </th>
                  {columns.map((m) => (
                    <td key={m} className="tabular-nums">
                      {cell(m, c.id)}
                    </td>
                  ))}
                </tr>
              ))}
          </tbody>
        </table>
      </Wide>
      <p className="text-soft text-sm">
        Swing {chosen.number}
        {last && `, with the change from swing ${last.number}`}
        {joints.length > 0 && "; beside it the mean of the kept"}. Shaded: what the faults in question are
        judged by. Pressure is not weight: a hard push loads a foot while the body may be elsewhere.
      </p>
    </section>
  );
}
