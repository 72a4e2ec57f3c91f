import type { Catalogue, Progress } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { Wide } from "@/ui/Wide";
import { SignsThenAndNow } from "./SignsThenAndNow";
import { inOrder, told, verdictSaid } from "./verdicts";

/** What the work has changed from its first lesson to today. */
export function WholeWork({
  whole,
  catalogue,
}: {
  whole: NonNullable<Progress["whole"]>;
  catalogue: Catalogue;
}) {
  return (
    <section aria-labelledby="whole-work" className="grid gap-1">
      <h2 id="whole-work">The whole work, since {longDay(whole.since)}</h2>
      {whole.changes.length > 0 && (
        <Wide label="The whole work">
          <table className="w-fit border-collapse text-left">
            <tbody>
              {inOrder(whole.changes).map((change) => (
                <tr key={change.id} className="border-line border-b align-baseline">
                  <td className="py-1 pr-4 font-semibold">{change.label}</td>
                  <td className="pr-4">
                    {change.then}, now {change.now}
                  </td>
                  <td className={told(change.comparison) ? "font-semibold" : "text-soft"}>
                    {verdictSaid(change.comparison)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Wide>
      )}
      <SignsThenAndNow signs={whole.signs} catalogue={catalogue} />
    </section>
  );
}
