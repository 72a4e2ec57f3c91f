import { type Change, differenceSaid, distanceSaid, inOrder, told, verdictSaid } from "./verdicts";
import { Wide } from "@/ui/Wide";

/** First balls then and now: what was kept, and what became of it within the lesson and after it. */
export function ChangesTable({ changes }: { changes: Change[] }) {
  const telling = (change: Change) => change.concerns || told(change.comparison);
  const untold = changes.filter((change) => !telling(change));
  return (
    <div>
      {untold.length < changes.length && (
        <Rows label="What changed" changes={inOrder(changes.filter(telling))} />
      )}
      {untold.length > 0 && (
        <details>
          <summary className="text-soft w-fit cursor-pointer py-1">
            {untold.length} more, without a change that could be told
          </summary>
          <Rows label="What cannot be told" changes={untold} />
        </details>
      )}
    </div>
  );
}

function Rows({ label, changes }: { label: string; changes: Change[] }) {
  return (
    <Wide label={label}>
      <table className="w-full border-collapse text-left">
        <caption className="sr-only">First balls then and now</caption>
        <thead className="text-soft border-strong-line border-b text-sm">
          <tr>
            {["First balls", "Then", "Now", "Kept", "In the last lesson", "Since its end"].map((head) => (
              <th key={head} className="py-1 pr-3 font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {changes.map((change) => (
            <ChangeRow key={change.id} change={change} />
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

function ChangeRow({ change }: { change: Change }) {
  const { comparison, unit } = change;
  const value = `pr-3 ${unit === "balls" ? "whitespace-nowrap" : ""}`;
  return (
    <tr className="border-line border-b align-baseline">
      <td className={`py-1.5 pr-3 ${change.concerns ? "font-semibold" : ""}`}>{change.label}</td>
      <td className={value}>{change.then}</td>
      <td className={value}>
        {change.now}
        {change.distance && (
          <span className="text-soft block text-sm">{distanceSaid(change.distance, unit)}</span>
        )}
      </td>
      <td className="pr-3">
        <span className={told(comparison) ? "font-semibold" : "text-soft"}>{verdictSaid(comparison)}</span>
        {change.past && " – past it, to the other side"}
        <span className="text-soft block text-sm">
          {differenceSaid(change)}
          {comparison.toTell != null && ` – ${comparison.toTell} more ${change.tries} each would tell`}
        </span>
      </td>
      <td className="text-soft pr-3">{change.gain ? verdictSaid(change.gain) : "–"}</td>
      <td className="text-soft">{change.lost ? verdictSaid(change.lost) : "–"}</td>
    </tr>
  );
}
