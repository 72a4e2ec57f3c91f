import type { Catalogue, Hand, PlanBlock, StoredPlan } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { DrillDiagram } from "../drill/DrillDiagram";
import { instruction } from "../drill/instruction";
import { isStopped } from "./stopped";

const KIND: Record<string, string> = { refresh: "Refresh", main: "Main", check: "Check" };

/** What is done on each day, block by block. */
export function PlanDays({
  stored,
  catalogue,
  practised,
  hand,
}: {
  stored: StoredPlan;
  catalogue: Catalogue;
  practised: string[];
  hand: Hand;
}) {
  const place = (id: string) => catalogue.places.find((p) => p.id === id)?.label ?? id;
  return (
    <section aria-labelledby="days">
      <h2 id="days">Day by day</h2>
      <ol>
        {stored.plan.days.map((day) => (
          <li key={day.date} className="border-line border-b py-3">
            <p className="flex flex-wrap gap-x-3">
              <strong>{longDay(day.date)}</strong>
              <span className="text-soft">
                {place(day.place)}, {day.minutes} min
              </span>
              {practised.includes(day.date) && <span className="font-semibold">done</span>}
            </p>
            <ul className="mt-1 grid gap-1">
              {day.blocks.map((block, i) => (
                <li key={i} className="flex items-start gap-3">
                  {block.kind === "main" && catalogue.drills[block.drill] && (
                    <span className="w-16 shrink-0">
                      <DrillDiagram
                        diagram={catalogue.drills[block.drill]!.diagram}
                        hand={hand}
                        title={catalogue.drills[block.drill]!.name}
                      />
                    </span>
                  )}
                  <span
                    className={`${block.kind === "main" ? "" : "pl-19"} ${isStopped(stored, block.drill, day.date) ? "line-through" : ""}`}
                  >
                    <span className="text-soft">{KIND[block.kind]}</span>{" "}
                    {catalogue.drills[block.drill]?.name},{" "}
                    {catalogue.rungs.find((r) => r.id === block.rung)?.label.toLowerCase()}:{" "}
                    <strong>{dose(block)}</strong>, {block.minutes} min
                    {block.contrast > 0 && `, ${block.contrast} of them wrong on purpose`}
                    {block.locked && " · locked"}
                    {isStopped(stored, block.drill, day.date) && (
                      <strong className="text-alert inline-block no-underline"> · stopped for pain</strong>
                    )}
                    {block.kind === "main" && (
                      <span className="text-soft block text-sm">
                        {instruction(catalogue.drills[block.drill], block)} Cue: {block.cue.toLowerCase()}.
                      </span>
                    )}
                  </span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Sets and reps in words. */
export function dose(block: PlanBlock): string {
  if (block.kind === "check") return block.balls > 0 ? "ten scored balls" : "ten scored reps";
  const sets =
    block.sets === 1 ? `one set of ${block.repsPerSet}` : `${block.sets} sets of ${block.repsPerSet}`;
  return block.balls > 0 ? `${sets}, ${block.balls} balls` : sets;
}
