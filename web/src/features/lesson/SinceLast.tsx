import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Catalogue, Progress } from "@/api/types";
import { longDay } from "@/ui/dates";
import { Failed, Loading } from "@/ui/Notice";

const VERDICT: Record<string, string> = {
  better: "better",
  worse: "worse",
  "cannot-tell": "cannot tell yet",
};
const ORDER = ["better", "worse", "cannot-tell"];

/** What was practised since the last lesson, and what is better, worse or not to be told. */
export function SinceLast({ lessonId, catalogue }: { lessonId: string; catalogue: Catalogue }) {
  const progress = useQuery(queries.progress(lessonId));
  if (progress.isPending) return <Loading />;
  if (progress.isError) return <Failed error={progress.error} again={() => progress.refetch()} />;
  const { since, done, rungs, changes, proposal } = progress.data;
  if (!since)
    return <p className="text-soft">This is the first lesson: there is nothing to compare with yet.</p>;
  const passed = rungs.filter((r) => r.standing === "passed");
  return (
    <div className="grid gap-4">
      <p>
        Since {longDay(since)}:{" "}
        {done ? (
          <>
            <strong>
              {done.doneDays} of {done.plannedDays} days
            </strong>{" "}
            practised, {done.doneReps} of {done.plannedReps} reps
            {done.plannedReps > 0 && ` (${Math.round((100 * done.doneReps) / done.plannedReps)} %)`}
          </>
        ) : (
          "no plan was handed over"
        )}
        .{" "}
        {done && passed.length > 0 && (
          <>
            Passed:{" "}
            {passed
              .map(
                (r) =>
                  `${catalogue.rungs.find((x) => x.id === r.rung)?.label.toLowerCase()} (${catalogue.drills[r.drill]?.name})`,
              )
              .join(", ")}
            .
          </>
        )}
        {done && passed.length === 0 && rungs.length > 0 && "No gate passed yet."}
      </p>
      {done && done.plannedReps > 0 && done.doneReps < done.plannedReps / 2 && (
        <p className="text-warn">
          Less than half was practised: what has not changed is no word against the drill.
        </p>
      )}
      {proposal && (
        <section aria-labelledby="proposal" className="border-strong-line border-l-4 pl-4">
          <h3 id="proposal">{proposal.label}</h3>
          <ul className="text-soft">
            {proposal.because.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
        </section>
      )}
      {changes.length === 0 ? (
        <p className="text-soft">Tally the first balls of today, before any cue, to see what was kept.</p>
      ) : (
        <Changes changes={changes} />
      )}
    </div>
  );
}

function Changes({ changes }: { changes: Progress["changes"] }) {
  const sorted = [...changes].sort(
    (a, b) => ORDER.indexOf(a.comparison.verdict) - ORDER.indexOf(b.comparison.verdict),
  );
  return (
    <table className="w-full border-collapse text-left">
      <caption className="sr-only">First balls then and now</caption>
      <thead className="text-soft border-strong-line border-b text-sm">
        <tr>
          <th className="py-1 font-normal">First balls</th>
          <th className="py-1 font-normal">Then</th>
          <th className="py-1 font-normal">Now</th>
          <th className="py-1 font-normal">Change, 95 % interval</th>
          <th className="py-1 font-normal">Kept</th>
          <th className="py-1 font-normal">Within the last lesson</th>
        </tr>
      </thead>
      <tbody>
        {sorted.map((change) => (
          <ChangeRow key={change.id} change={change} />
        ))}
      </tbody>
    </table>
  );
}

function ChangeRow({ change }: { change: Progress["changes"][number] }) {
  const { comparison, unit } = change;
  const balls = unit === "balls";
  const shown = (n: number) => signed(balls ? n * 100 : n);
  const told = comparison.verdict !== "cannot-tell";
  return (
    <tr className="border-line border-b align-baseline">
      <td className={`py-1.5 pr-3 ${change.concerns ? "font-semibold" : ""}`}>{change.label}</td>
      <td className="pr-3 whitespace-nowrap">{change.then}</td>
      <td className="pr-3 whitespace-nowrap">{change.now}</td>
      <td className="pr-3 whitespace-nowrap">
        {shown(comparison.difference)} ({shown(comparison.low)} to {shown(comparison.high)}){" "}
        {balls ? "%" : unit}
      </td>
      <td>
        <span className={told ? "font-semibold" : "text-soft"}>{VERDICT[comparison.verdict]}</span>
        {comparison.toTell != null && (
          <span className="text-soft text-sm">
            {" "}
            – {comparison.toTell} more {balls ? "balls" : "swings"} each would tell
          </span>
        )}
      </td>
      <td className="text-soft">{change.gain ? VERDICT[change.gain.verdict] : "–"}</td>
    </tr>
  );
}

function signed(number: number): string {
  const rounded = Math.round(number * 10) / 10;
  return rounded > 0 ? `+${rounded}` : `${rounded}`.replace("-", "−");
}
