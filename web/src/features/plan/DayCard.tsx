import type { Catalogue, PlanDay } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { dose, halfStepOf, howLong, KIND, speedOf } from "./dose";
import { nameOf } from "../drill/instruction";

/** A day of the plan on a small card: what, how much, how fast, and what is different that day. */
export function DayCard({ day, catalogue, done }: { day: PlanDay; catalogue: Catalogue; done: boolean }) {
  const place = catalogue.places.find((p) => p.id === day.place)?.label;
  return (
    <div className="grid gap-1">
      <p>
        <strong>{longDay(day.date)}</strong>{" "}
        <span className="text-soft">
          {place}, {howLong(day)}
          {done && ", done"}
        </span>
      </p>
      <ul className="grid gap-1">
        {day.blocks.map((block, i) => (
          <li key={i} className="leading-snug">
            <span className="text-soft">{KIND[block.kind]}</span> {nameOf(block, catalogue)},{" "}
            {catalogue.rungs.find((r) => r.id === block.rung)?.label.toLowerCase()}: {dose(block)}
            {block.kind === "main" && speedOf(block) && `, ${speedOf(block)}`}
            {halfStepOf(block) && <span className="text-soft block">{halfStepOf(block)}</span>}
          </li>
        ))}
      </ul>
    </div>
  );
}
