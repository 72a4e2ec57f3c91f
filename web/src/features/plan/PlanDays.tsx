import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Lesson, PlanBlock, PlanDay, StoredPlan } from "@/api/types";
import { longDay, shortDay } from "@/calendar/dates";
import { DrillPose } from "../golfer/DrillPose";
import { type Look, lookOf } from "../golfer/looks";
import type { Motion } from "../golfer/motion";
import { atOnce, instruction, nameOf } from "../drill/instruction";
import { dose, halfStepOf, howLong, KIND, ofARound, sameWork, speedOf } from "./dose";
import { isStopped } from "./stopped";

/** What is done on each day, block by block. */
export function PlanDays({
  stored,
  catalogue,
  practised,
  lesson,
}: {
  stored: StoredPlan;
  catalogue: Catalogue;
  practised: string[];
  lesson: Lesson;
}) {
  const hand = lesson.handedness as Hand;
  const look = lookOf(lesson);
  const { days } = stored.plan;
  const shown = [...new Set(days.flatMap((d) => d.blocks.filter((b) => b.kind === "main").map(poseOf)))];
  const poses =
    useQuery({ ...queries.poses(hand, shown, lesson.studentHeight), enabled: shown.length > 0 }).data ?? {};
  return (
    <section aria-labelledby="days">
      <h2 id="days">Day by day</h2>
      <ol>
        {days.map((day, i) => {
          const like = days.slice(0, i).find((d) => d.place === day.place && sameWork(d.blocks, day.blocks));
          const blocks = <Blocks {...{ day, stored, catalogue, hand, look, poses }} />;
          return (
            <li key={day.date} className="border-line border-b py-3">
              <p className="flex flex-wrap gap-x-3">
                <strong>{longDay(day.date)}</strong>
                <span className="text-soft">
                  {catalogue.places.find((p) => p.id === day.place)?.label ?? day.place}, {howLong(day)}
                </span>
                {practised.includes(day.date) && <span className="font-semibold">done</span>}
              </p>
              {like ? (
                <details>
                  <summary className="min-h-9 cursor-pointer py-1.5">as on {shortDay(like.date)}</summary>
                  {blocks}
                </details>
              ) : (
                blocks
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

const poseOf = (block: PlanBlock) => `${block.drill}:${block.rung}`;

function Blocks({
  day,
  stored,
  catalogue,
  hand,
  look,
  poses,
}: {
  day: PlanDay;
  stored: StoredPlan;
  catalogue: Catalogue;
  hand: Hand;
  look: Look;
  poses: Record<string, Motion>;
}) {
  return (
    <ul className="mt-1 grid gap-1">
      {day.blocks.map((block, i) => (
        <li key={i} className="flex items-start gap-3">
          {block.kind === "main" && catalogue.drills[block.drill] && (
            <span className="w-16 shrink-0">
              <DrillPose
                alone
                drill={catalogue.drills[block.drill]!}
                pose={poses[poseOf(block)]}
                hand={hand}
                look={look}
              />
            </span>
          )}
          <span
            className={`${block.kind === "main" ? "" : "pl-19"} ${isStopped(stored, block.drill, day.date) ? "line-through" : ""}`}
          >
            <span className="text-soft">{KIND[block.kind]}</span> {nameOf(block, catalogue)},{" "}
            {catalogue.rungs.find((r) => r.id === block.rung)?.label.toLowerCase()}:{" "}
            <strong>{dose(block)}</strong>,{" "}
            {[speedOf(block), `${block.minutes} min`].filter(Boolean).join(", ")}
            {block.kind === "try" && ", does not count"}
            {block.contrast > 0 && `, ${block.contrast} of them wrong on purpose`}
            {block.locked && " · locked"}
            {isStopped(stored, block.drill, day.date) && (
              <strong className="text-alert inline-block no-underline"> · stopped for pain</strong>
            )}
            {halfStepOf(block) && <span className="block">{halfStepOf(block)}</span>}
            {block.kind === "main" && (
              <span className="text-soft block text-sm">
                {instruction(catalogue.drills[block.drill], block)} {atOnce(block, catalogue)} Cue:{" "}
                {block.cue.toLowerCase()}.
              </span>
            )}
            {block.kind === "try" && ofARound(block) && (
              <span className="text-soft block text-sm">Cue: {block.cue.toLowerCase()}.</span>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}
