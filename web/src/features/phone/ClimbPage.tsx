import { Link } from "react-router";
import { useCatalogue } from "@/api/queries";
import type { Catalogue } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { Failed, Loading } from "@/ui/Notice";
import { nameOf } from "../drill/instruction";
import { dose, howLong } from "../plan/dose";
import { Staircase } from "../plan/Staircase";
import { NextGate } from "./NextGate";
import { PhoneFrame } from "./PhoneFrame";
import { Reminder } from "./Reminder";
import { type Today, useToday } from "./today";
import { Title } from "@/ui/Title";

/** The staircase so far, the gates, and the days to come. */
export default function ClimbPage() {
  const day = useToday();
  const catalogue = useCatalogue(day.data?.handedness);
  if (day.error) return <Failed error={day.error} again={day.again} />;
  if (!catalogue.data && catalogue.isError)
    return <Failed error={catalogue.error} again={catalogue.refetch} />;
  if (!day.data || !catalogue.data) return <Loading />;
  return (
    <PhoneFrame>
      <Title>The climb</Title>
      <h1>The climb</h1>
      {day.data.plan ? (
        <Climb today={day.data} catalogue={catalogue.data} />
      ) : (
        <p className="mt-4">No plan yet. It appears here when your coach hands it over.</p>
      )}
      <p className="mt-6">
        <Link to="/climb/account" className="inline-flex min-h-11 items-center">
          Your account and password
        </Link>
      </p>
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
        today={today.date}
      />
      <NextGate today={today} catalogue={catalogue} />
      <p className="text-soft text-sm">
        Filled is done. Your lesson is on {longDay(nextLesson)}; a chance on the right is of students like you
        being through that gate by then.
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
            <li key={d.date} className="border-line border-b">
              <details>
                <summary className="flex min-h-11 cursor-pointer items-center gap-2">
                  {longDay(d.date)}
                  <span className="text-soft ml-auto">
                    {catalogue.places.find((p) => p.id === d.place)?.label}, {howLong(d)}
                  </span>
                </summary>
                <ul className="pb-2">
                  {d.blocks.map((block, i) => (
                    <li key={i} className="flex justify-between gap-3">
                      <span>
                        {nameOf(block, catalogue)}
                        <span className="text-soft ml-2 text-sm">
                          {block.scored ? "scored" : label(block.rung)?.toLowerCase()}
                          {block.kind === "try" && ", a try"}
                        </span>
                      </span>
                      <span>{dose(block)}</span>
                    </li>
                  ))}
                </ul>
              </details>
            </li>
          ))}
          {coming.length === 0 && <li className="text-soft">No more days before the lesson.</li>}
        </ul>
      </section>
      <Reminder hour={today.remindAt} />
    </div>
  );
}
