import { useQuery } from "@tanstack/react-query";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Today } from "@/api/types";
import { longDay, today } from "@/ui/dates";
import { Failed, Loading } from "@/ui/Notice";
import { Staircase } from "../plan/Staircase";
import { PhoneFrame } from "./PhoneFrame";

/** The staircase so far, the gates, and the days to come. */
export default function ClimbPage() {
  const day = useQuery(queries.today(today()));
  const catalogue = useCatalogue(day.data?.handedness);
  if (day.isPending || catalogue.isPending) return <Loading />;
  if (day.isError) return <Failed error={day.error} again={() => day.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  return (
    <PhoneFrame>
      <h1>The climb</h1>
      {day.data.plan ? (
        <Climb today={day.data} catalogue={catalogue.data} />
      ) : (
        <p className="mt-4">No plan yet. It appears here when your coach hands it over.</p>
      )}
    </PhoneFrame>
  );
}

function Climb({ today, catalogue }: { today: Today; catalogue: Catalogue }) {
  const { plan, from, nextLesson } = today.plan!;
  const coming = plan.days.filter((d) => d.date >= today.date).slice(0, 7);
  const checked = today.rungs.filter((r) => plan.route.some((s) => s.rung === r.rung && s.fault === r.fault));
  const label = (rung: string) => catalogue.rungs.find((r) => r.id === rung)?.label;
  return (
    <div className="mt-2 grid gap-6">
      <Staircase
        compact
        plan={plan}
        from={from}
        until={nextLesson}
        catalogue={catalogue}
        practised={today.practised}
      />
      <p className="text-soft text-sm">
        Filled is done. On the right: how likely this gate is passed by your lesson on {longDay(nextLesson)}.
      </p>
      {checked.length > 0 && (
        <section>
          <h2 className="mb-1">Your checks</h2>
          <ul>
            {checked.map((r) => (
              <li key={r.fault + r.rung} className="border-line border-b py-2">
                <p className="flex">
                  <strong>{label(r.rung)}</strong>
                  <span className="text-soft ml-2">{catalogue.drills[r.drill]?.name}</span>
                  <span className="ml-auto">
                    {r.sets
                      .slice(-4)
                      .map((s) => s.good)
                      .join(" · ")}
                  </span>
                </p>
                <p className="text-soft">{r.says}</p>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2 className="mb-1">Coming days</h2>
        <ul>
          {coming.map((d) => (
            <li key={d.date} className="border-line flex border-b py-2">
              {longDay(d.date)}
              <span className="text-soft ml-auto">
                {catalogue.places.find((p) => p.id === d.place)?.label}, {Math.round(d.minutes)} min
              </span>
            </li>
          ))}
          {coming.length === 0 && <li className="text-soft">No more days before the lesson.</li>}
        </ul>
      </section>
    </div>
  );
}
