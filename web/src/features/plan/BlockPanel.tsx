import { useQuery } from "@tanstack/react-query";
import {
  ArrowLeft,
  ArrowRight,
  Lock,
  LockOpen,
  Link2,
  Minus,
  Plus,
  Replace,
  Trash2,
  TrendingUp,
  Unlink2,
} from "lucide-react";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Lesson, PlanBlock, StoredPlan } from "@/api/types";
import { Button } from "@/ui/Button";
import { longDay } from "@/calendar/dates";
import { Failed, Loading } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";
import { DrillOffer } from "../drill/DrillOffer";
import { nameOf } from "../drill/instruction";
import { isDoneOn, orderOn, putFirst, useFirstChoices } from "../drill/firstChoices";
import { lookOf } from "../golfer/looks";
import { chose, dropped, joined, locked, moved, skipped, unlocked } from "./edits";
import { dose } from "./dose";
import type { PlanWork } from "./usePlanTerms";

export type Chosen = { date: string; fault: string; rung: string };

export const isAt = (chosen: Chosen | undefined, at: Chosen) =>
  chosen?.date === at.date && chosen.fault === at.fault && chosen.rung === at.rung;

/** The main block chosen on the staircase. */
export function chosenBlock(stored: StoredPlan, chosen: Chosen | undefined): PlanBlock | undefined {
  return stored.plan.days
    .find((d) => d.date === chosen?.date)
    ?.blocks.find((b) => b.kind === "main" && isAt(chosen, { ...b, date: chosen!.date }));
}

/** The practice day before or after this one, today or later. */
export function neighbour(stored: StoredPlan, date: string, by: 1 | -1): string | undefined {
  const dates = stored.plan.days.map((d) => d.date).filter((d) => d >= stored.today);
  return dates[dates.indexOf(date) + by];
}

/** What can be done with the chosen block; the same by keys on the staircase. */
export function BlockPanel({
  lesson,
  stored,
  chosen,
  work,
  catalogue,
  onMoved,
}: {
  lesson: Lesson;
  stored: StoredPlan;
  chosen: Chosen | undefined;
  work: PlanWork;
  catalogue: Catalogue;
  onMoved: (date: string) => void;
}) {
  const [swap, setSwap] = useState(false);
  const [join, setJoin] = useState(false);
  const mine = useFirstChoices();
  const cues = useQuery(queries.ownWords(lesson.studentId)).data?.cues;
  const block = chosenBlock(stored, chosen);
  if (!chosen || !block) {
    return (
      <p className="text-soft">
        Choose a block to move, lock, lengthen, swap or drop it. Drag it, or use the arrow keys, + and −, L
        and Delete.
      </p>
    );
  }
  const { terms } = stored;
  const rung = catalogue.rungs.find((r) => r.id === block.rung)?.label;
  const drillName = (id: string) => (catalogue.drills[id]?.name ?? id).toLowerCase();
  const go = (by: 1 | -1) => {
    const to = neighbour(stored, chosen.date, by);
    if (!to) return;
    work.apply(moved(terms, chosen.date, block, to), () => onMoved(to));
  };
  const many = [
    { label: "Earlier", Icon: ArrowLeft, act: () => go(-1), off: !neighbour(stored, chosen.date, -1) },
    { label: "Later", Icon: ArrowRight, act: () => go(1), off: !neighbour(stored, chosen.date, 1) },
    {
      label: "Fewer",
      Icon: Minus,
      act: () => work.apply(locked(terms, chosen.date, block, block.sets - 1)),
      off: block.sets < 2,
    },
    { label: "More", Icon: Plus, act: () => work.apply(locked(terms, chosen.date, block, block.sets + 1)) },
    block.locked
      ? { label: "Unlock", Icon: LockOpen, act: () => work.apply(unlocked(terms, chosen.date, block)) }
      : { label: "Lock", Icon: Lock, act: () => work.apply(locked(terms, chosen.date, block)) },
    { label: "Swap the drill", Icon: Replace, act: () => setSwap(true) },
    block.joined
      ? {
          label: "Take apart",
          Icon: Unlink2,
          act: () => work.apply(joined(terms, block.fault, block.rung, "")),
        }
      : { label: "Join another", Icon: Link2, act: () => setJoin(true) },
    {
      label: "Skip this rung",
      Icon: TrendingUp,
      act: () => work.apply(skipped(terms, block.fault, block.rung)),
    },
    { label: "Drop", Icon: Trash2, act: () => work.apply(dropped(terms, chosen.date, block)) },
  ];
  return (
    <section aria-label="Chosen block" className="border-line grid gap-2 border-y py-3">
      <p>
        <strong>{longDay(chosen.date)}</strong>: {nameOf(block, catalogue)}, {rung?.toLowerCase()},{" "}
        {dose(block)}, {block.minutes} min{block.locked && " · locked"}
        {cues?.[block.drill] && (
          <span className="block">
            In {lesson.studentName.split(" ")[0]}’s words: <em>{cues[block.drill]}</em>
          </span>
        )}
      </p>
      <div className="flex flex-wrap gap-2">
        {many.map(({ label, Icon, act, off }) => (
          <Button key={label} className="px-3!" disabled={off || work.busy} onClick={act}>
            <Icon aria-hidden className="size-4" />
            {label}
          </Button>
        ))}
      </div>
      <Sheet title={`At once with ${drillName(block.drill)}`} open={join} onOpenChange={setJoin}>
        <Partners
          lesson={lesson}
          block={block}
          catalogue={catalogue}
          onTake={(drill) => {
            setJoin(false);
            work.apply(joined(terms, block.fault, block.rung, drill));
          }}
        />
      </Sheet>
      {mine.error && <Failed error={mine.error} />}
      <Sheet title={`Another drill for ${rung?.toLowerCase()}`} open={swap} onOpenChange={setSwap}>
        <Alternatives
          lesson={lesson}
          block={block}
          catalogue={catalogue}
          mine={mine}
          onTake={(drill) => {
            setSwap(false);
            if (drill !== block.drill) work.apply(chose(terms, block.fault, block.rung, drill));
          }}
        />
      </Sheet>
    </section>
  );
}

/** Drills that can be done at once with this one: one block, one count. */
function Partners({
  lesson,
  block,
  catalogue,
  onTake,
}: {
  lesson: Lesson;
  block: PlanBlock;
  catalogue: Catalogue;
  onTake: (drill: string) => void;
}) {
  const found = useQuery(queries.partners(lesson.id, block.drill, block.rung));
  if (found.isError) return <Failed error={found.error} again={() => found.refetch()} />;
  if (!found.data) return <Loading />;
  if (found.data.length === 0)
    return <p className="text-soft">Nothing that this student may do asks for the other foot.</p>;
  return (
    <ul>
      {found.data.map(({ drill, why }) => (
        <li key={drill} className="border-line flex items-center gap-3 border-b py-1.5">
          <span className="flex-1">
            <strong>{catalogue.drills[drill]?.name ?? drill}</strong>
            <span className="text-soft block text-sm">{why}</span>
          </span>
          <Button aria-label={`Join ${catalogue.drills[drill]?.name ?? drill}`} onClick={() => onTake(drill)}>
            Join
          </Button>
        </li>
      ))}
    </ul>
  );
}

function Alternatives({
  lesson,
  block,
  catalogue,
  mine,
  onTake,
}: {
  lesson: Lesson;
  block: PlanBlock;
  catalogue: Catalogue;
  mine: ReturnType<typeof useFirstChoices>;
  onTake: (drill: string) => void;
}) {
  const found = useQuery(queries.alternatives(lesson.id, block.fault, block.rung));
  const order = orderOn(mine.choices, block.fault, block.rung);
  const others = (found.data ?? []).filter((a) => a.drill !== block.drill);
  const poses = useQuery({
    ...queries.poses(
      lesson.handedness as Hand,
      others.map((o) => `${o.drill}:${block.rung}`),
      lesson.studentHeight,
    ),
    enabled: others.length > 0,
  });
  if (found.isPending) return <Loading />;
  if (found.isError) return <Failed error={found.error} again={() => found.refetch()} />;
  const fromNowOn = (drill: string) =>
    order[0] !== drill &&
    isDoneOn(catalogue.drills[drill], block.fault, block.rung) && (
      <Button
        weight="quiet"
        disabled={!mine.found.isSuccess}
        aria-label={`${catalogue.drills[drill]!.name}: my first choice from now on`}
        onClick={() => {
          mine.set([{ fault: block.fault, rung: block.rung, drills: putFirst(order, drill) }]);
          onTake(drill);
        }}
      >
        From now on
      </Button>
    );
  return (
    <>
      <p className="flex flex-wrap items-center gap-3">
        <span className="flex-1">
          Now: <strong>{catalogue.drills[block.drill]?.name ?? block.drill}</strong>
          <span className="text-soft block text-sm">
            {order[0] === block.drill
              ? "your first choice here"
              : "“From now on” makes a drill your first choice here for all your students' new plans."}
          </span>
        </span>
        {fromNowOn(block.drill)}
      </p>
      {others.length === 0 && <p className="text-soft">No other drill is left under these rules.</p>}
      <ol>
        {others.map(({ drill, why }) => (
          <DrillOffer
            key={drill}
            drill={catalogue.drills[drill]}
            name={catalogue.drills[drill]?.name ?? drill}
            pose={poses.data?.[`${drill}:${block.rung}`]}
            hand={lesson.handedness as Hand}
            look={lookOf(lesson)}
            why={why}
          >
            {fromNowOn(drill)}
            <Button onClick={() => onTake(drill)}>Take</Button>
          </DrillOffer>
        ))}
      </ol>
    </>
  );
}
