import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import { longDay } from "@/calendar/dates";

/** How the plan followed the practice: when it was laid again, why, and what changed. */
export function LaidAgain({ planId }: { planId: string }) {
  const times = useQuery(queries.laidAgain(planId));
  if (!times.data || times.data.length === 0) return null;
  return (
    <section aria-labelledby="laid-again">
      <h2 id="laid-again">Laid again</h2>
      <ul>
        {times.data.map((time, i) => (
          <li key={i} className="border-line border-b py-2">
            <details>
              <summary className="cursor-pointer">
                <strong>{longDay(time.on)}</strong> {time.reason}
              </summary>
              <ul className="text-soft mt-1 pl-4 text-sm">
                {time.changes.map((change) => (
                  <li key={change}>{change}</li>
                ))}
              </ul>
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}
