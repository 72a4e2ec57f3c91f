import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, PlanBlock, PlanDay, Wire } from "@/api/types";
import { useSaver } from "@/api/useSaver";
import { AskBeforeLeaving } from "@/ui/AskBeforeLeaving";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { longDay } from "@/calendar/dates";
import { Empty, Failed, Loading } from "@/ui/Notice";
import { NumberField } from "@/ui/NumberField";
import { SaveStatus } from "@/ui/SaveStatus";
import { nameOf } from "../drill/instruction";
import { NoPlan } from "../plan/NoPlan";
import { SCORED } from "../plan/sheetShape";
import { asPlanned, isBlank, NOTHING, ticked, type Ticks } from "./paper";
import { Title } from "@/ui/Title";

const FELT = [
  { id: "5", label: "Clear" },
  { id: "1", label: "Lost" },
];

/** The ticks of a plan that was done on paper, day by day, saved as they are entered. */
export default function PaperPage() {
  const id = useParams().id as string;
  const lesson = useQuery(queries.lesson(id));
  const plan = useQuery(queries.lessonPlan(id));
  const paper = useQuery({ ...queries.paper(plan.data?.id ?? ""), enabled: !!plan.data });
  const catalogue = useCatalogue(lesson.data?.handedness);
  const [unsaved, setUnsaved] = useState<readonly string[]>([]);
  const tell = useCallback(
    (day: string, saved: boolean) =>
      setUnsaved((was) => (saved ? was.filter((d) => d !== day) : [...was, day])),
    [],
  );
  if (plan.isError) return <NoPlan lessonId={id} error={plan.error} again={() => plan.refetch()} />;
  if (lesson.isError) return <Failed error={lesson.error} again={() => lesson.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  if (paper.isError) return <Failed error={paper.error} again={() => paper.refetch()} />;
  if (lesson.isPending || paper.isPending || catalogue.isPending || !plan.data) return <Loading />;
  return (
    <div className="mx-auto grid max-w-[52rem] gap-4">
      <AskBeforeLeaving when={unsaved.length > 0} />
      <header>
        <Title>{`Ticks: ${lesson.data.studentName}`}</Title>
        <h1>Ticks of {lesson.data.studentName}</h1>
        <p className="text-soft">
          From the sheet brought along. <Link to={`/students/${lesson.data.studentId}`}>To the student</Link>
          {" · "}
          <Link to={`/lessons/${id}/plan`}>To the plan</Link>
        </p>
      </header>
      {!plan.data.assigned && <Empty>The student does not have this plan yet: hand it over first.</Empty>}
      {plan.data.assigned && paper.data.length === 0 && (
        <Empty>No day of this plan has come yet: the first is {longDay(plan.data.plan.days[0]!.date)}.</Empty>
      )}
      {plan.data.assigned &&
        paper.data.map((one) => (
          <PaperDay
            key={one.day.date}
            planId={plan.data.id}
            paper={one}
            catalogue={catalogue.data}
            tell={tell}
          />
        ))}
    </div>
  );
}

function PaperDay({
  planId,
  paper,
  catalogue,
  tell,
}: {
  planId: string;
  paper: Wire["PaperDay"];
  catalogue: Catalogue;
  tell: (day: string, saved: boolean) => void;
}) {
  const { day } = paper;
  const client = useQueryClient();
  const [entry, setEntry] = useState<Ticks | null>(paper.entry ?? null);
  const send = useCallback(
    async (now: Ticks | null) => {
      const path = `/api/plans/${planId}/paper/${day.date}`;
      await (now ? api.put<void>(path, now) : api.delete<void>(path));
      void client.invalidateQueries({ queryKey: ["students"] });
      void client.invalidateQueries({ queryKey: ["plans", planId], refetchType: "none" });
    },
    [client, planId, day.date],
  );
  const { state, error } = useSaver(entry, send);
  useEffect(() => tell(day.date, state === "saved"), [tell, day.date, state]);
  const now = entry ?? NOTHING;
  const change = (next: Ticks) => setEntry(isBlank(next) ? null : next);
  const place = catalogue.places.find((p) => p.id === day.place)?.label.toLowerCase();
  return (
    <section aria-label={longDay(day.date)} className="border-line grid gap-2 border-t pt-3">
      <div className="flex flex-wrap items-center gap-3">
        <h2>{longDay(day.date)}</h2>
        <span className="text-soft">
          {place}, {Math.round(day.minutes)} min
        </span>
        {!paper.byPhone && (
          <span className="ml-auto flex items-center gap-3">
            {(entry !== (paper.entry ?? null) || state !== "saved") && (
              <SaveStatus state={state} error={error} />
            )}
            {entry && (
              <Button weight="quiet" onClick={() => setEntry(null)}>
                Nothing done
              </Button>
            )}
            <Button onClick={() => change(asPlanned(day, now))}>All sets done</Button>
          </span>
        )}
      </div>
      {paper.byPhone ? (
        <p className="text-soft">Came by phone already.</p>
      ) : (
        <>
          <ul className="grid gap-1">
            {day.blocks.map((block, i) => (
              <li key={i} className="flex flex-wrap items-center gap-x-4 gap-y-1">
                <span className="min-w-64">
                  {nameOf(block, catalogue)}
                  <span className="text-soft">
                    , {catalogue.rungs.find((r) => r.id === block.rung)?.label.toLowerCase()}
                  </span>
                </span>
                <BlockTicks
                  block={block}
                  name={catalogue.drills[block.drill]?.name ?? block.drill}
                  count={now.ticks[i] ?? null}
                  onChange={(count) => change(ticked(now, i, count))}
                />
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap items-end gap-4">
            <Choice
              label="How it felt"
              value={entry?.feel ? String(entry.feel) : ""}
              options={FELT}
              onChange={(felt) => change({ ...now, feel: Number(felt) })}
            />
            <PainTicked
              day={day}
              catalogue={catalogue}
              pain={entry?.pain}
              onChange={(pain) => change({ ...now, pain })}
            />
          </div>
        </>
      )}
    </section>
  );
}

/** Boxes for sets, a number for a scored set. */
function BlockTicks({
  block,
  name,
  count,
  onChange,
}: {
  block: PlanBlock;
  name: string;
  count: number | null;
  onChange: (count: number | null) => void;
}) {
  if (block.kind === "check") {
    return (
      <label className="flex items-center gap-2">
        <NumberField
          aria-label={`Good of ten, ${name}`}
          lowest={0}
          highest={SCORED}
          value={count}
          onChange={onChange}
        />
        good of {SCORED}
      </label>
    );
  }
  return (
    <span role="group" aria-label={`Sets of ${name}`} className="flex flex-wrap">
      {Array.from({ length: block.sets }, (_, i) => {
        const on = count !== null && i < count;
        return (
          <button
            key={i}
            type="button"
            aria-pressed={on}
            aria-label={`Set ${i + 1}`}
            className="grid size-11 place-items-center"
            onClick={() => onChange(count === i + 1 ? i || null : i + 1)}
          >
            <span
              aria-hidden
              className={`border-ink text-on-ink grid size-7 place-items-center rounded-sm border-2 font-bold ${on ? "bg-ink" : ""}`}
            >
              {on ? "✓" : ""}
            </span>
          </button>
        );
      })}
      <span className="text-soft self-center text-sm">of {block.repsPerSet}</span>
    </span>
  );
}

/** Pain is kept once the coach has asked where and how much. */
function PainTicked({
  day,
  catalogue,
  pain,
  onChange,
}: {
  day: PlanDay;
  catalogue: Catalogue;
  pain: Ticks["pain"];
  onChange: (pain: Ticks["pain"]) => void;
}) {
  const drills = [...new Set(day.blocks.map((b) => b.drill))];
  const main = day.blocks.find((b) => b.kind === "main")?.drill ?? drills[0]!;
  const [draft, setDraft] = useState(pain ?? null);
  const [open, setOpen] = useState(!!pain);
  const set = (part: { where?: string; score?: number; drill?: string }) => {
    const next = { where: "", score: 0, drill: main, ...draft, ...part };
    setDraft(next);
    if (next.where && next.score) onChange(next);
  };
  if (!open) {
    return (
      <Button weight="quiet" onClick={() => setOpen(true)}>
        Pain ticked
      </Button>
    );
  }
  return (
    <fieldset className="border-alert flex flex-wrap items-end gap-3 border-l-4 pl-3">
      <legend className="sr-only">Pain</legend>
      <label className="grid text-sm">
        Where
        <select value={draft?.where ?? ""} onChange={(e) => set({ where: e.target.value })}>
          <option value="" disabled>
            Ask
          </option>
          {catalogue.joints
            .filter((j) => j.id !== "balance")
            .map((j) => (
              <option key={j.id} value={j.id}>
                {j.label}
              </option>
            ))}
        </select>
      </label>
      <label className="grid text-sm">
        How much, of 10
        <select value={draft?.score || ""} onChange={(e) => set({ score: Number(e.target.value) })}>
          <option value="" disabled>
            Ask
          </option>
          {Array.from({ length: 10 }, (_, i) => (
            <option key={i + 1}>{i + 1}</option>
          ))}
        </select>
      </label>
      <label className="grid text-sm">
        In
        <select value={draft?.drill ?? main} onChange={(e) => set({ drill: e.target.value })}>
          {drills.map((drill) => (
            <option key={drill} value={drill}>
              {catalogue.drills[drill]?.name}
            </option>
          ))}
        </select>
      </label>
      <Button
        weight="quiet"
        onClick={() => {
          setOpen(false);
          setDraft(null);
          onChange(undefined);
        }}
      >
        No pain
      </Button>
      <p className="w-full text-sm">
        {draft?.where && draft.score
          ? "A doctor or physiotherapist judges pain that stays."
          : "Kept once both are known."}
      </p>
    </fieldset>
  );
}
