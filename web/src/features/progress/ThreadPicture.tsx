import { useState } from "react";
import { Link } from "react-router";
import type { Thread } from "@/api/types";
import { longDay, shortDay, today } from "@/calendar/dates";
import { FEW, ThreadDrawing } from "./ThreadDrawing";
import { type Between, mostTold, type Point, type Series } from "./threadShape";
import { inDigits } from "@/ui/number";
import { distanceSaid } from "./verdicts";
import { Wide } from "@/ui/Wide";

/** The thread with what to show over it; every lesson opens to its readings. */
export function ThreadPicture({ thread, studentId }: { thread: Thread; studentId: string }) {
  const [series, setSeries] = useState(() => mostTold(thread));
  const [chosen, setChosen] = useState<string>();
  const shown = thread.series.find((s) => s.id === series);
  const between = thread.between.find((b) => b.id === series);
  const knot = thread.knots.find((k) => k.lessonId === chosen);
  return (
    <figure className="border-line border-y py-3">
      <figcaption className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2>The thread</h2>
        {thread.series.length + thread.between.length > 0 && (
          <label className="flex min-w-0 flex-wrap items-center gap-2">
            <span className="text-soft">showing</span>
            <select value={series} onChange={(e) => setSeries(e.target.value)}>
              <optgroup label="In lessons">
                {thread.series.map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.label}
                  </option>
                ))}
              </optgroup>
              {thread.between.length > 0 && (
                <optgroup label="Between lessons">
                  {thread.between.map((b) => (
                    <option key={b.id} value={b.id}>
                      {b.label}
                    </option>
                  ))}
                </optgroup>
              )}
            </select>
          </label>
        )}
        <span className="text-soft text-sm">
          {between ? (
            <>■ a day of practice, □ of few {between.tries}&ensp;bars: 95 % interval&ensp;</>
          ) : (
            <>● before a lesson&ensp;○ after it&ensp;bars and band: 95 % interval&ensp;</>
          )}
          {shown?.target && <>dashed: wanted&ensp;</>}strand: how much was practised
        </span>
      </figcaption>
      <ThreadDrawing
        thread={thread}
        series={shown}
        between={between}
        today={today()}
        chosen={chosen}
        onChoose={(id) => setChosen(id === chosen ? undefined : id)}
      />
      {knot && <KnotReadings thread={thread} knot={knot} studentId={studentId} />}
      <details className="no-print">
        <summary className="text-soft w-fit cursor-pointer py-1 text-sm">As a table</summary>
        {between && <Days between={between} />}
        <Wide label="The thread as a table">
          <table className="border-collapse text-left">
            <thead>
              <tr>
                {["Lesson", "Before", "After", "Practised since"].map((h) => (
                  <th key={h} className="text-soft pr-6 text-sm font-normal">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {thread.knots.map((k) => (
                <tr key={k.lessonId} className="border-line border-t align-baseline">
                  <td className="pr-6">{shortDay(k.heldOn)}</td>
                  <td className="pr-6">{shown && <Reading point={k.before[series]} series={shown} />}</td>
                  <td className="pr-6">{shown && <Reading point={k.after[series]} series={shown} />}</td>
                  <td>
                    {k.done
                      ? `${k.done.doneDays} of ${k.done.plannedDays} days, ${k.done.doneReps} reps`
                      : "–"}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Wide>
      </details>
    </figure>
  );
}

/** What practice told, day by day, the latest first. */
function Days({ between }: { between: Between }) {
  return (
    <Wide label={between.label}>
      <table className="mb-3 border-collapse text-left">
        <caption className="text-left font-semibold">{between.label}</caption>
        <tbody>
          {[...between.points].reverse().map((p) => (
            <tr key={p.day} className="border-line border-t align-baseline">
              <td className="pr-6">{shortDay(p.day)}</td>
              <td>
                <strong>{inDigits(p.value)}</strong> {between.unit}{" "}
                <span className="text-soft text-sm">
                  ({inDigits(p.low)} to {inDigits(p.high)}), {p.of} {between.tries}
                  {p.of < FEW && ", few"}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

/** All that was measured in one lesson. */
function KnotReadings({
  thread,
  knot,
  studentId,
}: {
  thread: Thread;
  knot: Thread["knots"][number];
  studentId: string;
}) {
  const measured = thread.series.filter((s) => knot.before[s.id] || knot.after[s.id]);
  const earlier = thread.knots[thread.knots.indexOf(knot) - 1];
  return (
    <section aria-labelledby="knot" className="border-strong-line mb-2 grid gap-2 border-l-4 pl-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h3 id="knot">{longDay(knot.heldOn)}</h3>
        <Link to={`/lessons/${knot.lessonId}`}>Open the lesson</Link>
        {earlier && (
          <Link to={`/students/${studentId}/compare?first=${earlier.lessonId}&second=${knot.lessonId}`}>
            Beside {shortDay(earlier.heldOn)}
          </Link>
        )}
        <Link to={`/lessons/${knot.lessonId}/report`}>Report</Link>
      </div>
      {measured.length === 0 ? (
        <p className="text-soft">Nothing was measured.</p>
      ) : (
        <Wide label="Readings">
          <table className="w-fit border-collapse text-left">
            <thead className="text-soft text-sm">
              <tr>
                {["Measured", "Before", "After"].map((head) => (
                  <th key={head} className="pr-6 font-normal">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {measured.map((s) => (
                <tr key={s.id} className="border-line border-t align-baseline">
                  <td className="pr-6">{s.label}</td>
                  <td className="pr-6">
                    <Reading point={knot.before[s.id]} series={s} />
                  </td>
                  <td>
                    <Reading point={knot.after[s.id]} series={s} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Wide>
      )}
    </section>
  );
}

/** A value with its interval, what it counts, and how far it lies from the target. */
function Reading({ point, series }: { point?: Point; series: Series }) {
  if (!point) return <>–</>;
  return (
    <>
      <strong>{inDigits(point.value)}</strong> {series.unit}{" "}
      <span className="text-soft text-sm">
        ({inDigits(point.low)} to {inDigits(point.high)}), {point.of} {series.tries}
        {point.distance && `; ${distanceSaid(point.distance, series.unit)}`}
      </span>
    </>
  );
}
