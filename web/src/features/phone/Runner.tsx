import { Undo2, X } from "lucide-react";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import type { Catalogue, Hand } from "@/api/types";
import { Button } from "@/ui/Button";
import { Note } from "@/ui/Notice";
import { DrillDiagram } from "../drill/DrillDiagram";
import { instruction } from "../drill/instruction";
import { halfStepOf, speedOf } from "../plan/dose";
import { Pips } from "./Pips";
import { Rest } from "./Rest";
import { Noticing } from "./Noticing";
import {
  endsSet,
  isContrast,
  marksOf,
  nextIsStrike,
  noticedOf,
  wanted,
  withMarks,
  withNoticed,
} from "./session";
import type { Today } from "./today";
import type { useSession } from "./useSession";
import { Title } from "@/ui/Title";

const NOW: Record<string, string> = {
  brush: "Now brush the mark",
  clip: "Now clip the tee",
  "soft-ball": "Now a soft ball",
  net: "Now a ball",
  range: "Now a ball",
  course: "Now a ball",
};
const KIND: Record<string, string> = { refresh: "To warm up", main: "Main block", check: "Check, scored" };

/** One block: one cue, two large targets, pips in sets, a rest after each. */
export function Runner({
  today,
  catalogue,
  session,
  at,
  onNext,
  onEnd,
}: {
  today: Today;
  catalogue: Catalogue;
  session: ReturnType<typeof useSession>;
  at: number;
  onNext: () => void;
  onEnd: () => void;
}) {
  const { blocks } = session;
  const block = blocks[at]!;
  const drill = catalogue.drills[block.drill]!;
  const rung = catalogue.rungs.find((r) => r.id === block.rung)!;
  const notice = catalogue.notices.find((n) => n.id === drill.notice);
  const marks = marksOf(session.entry, at);
  const full = marks.length >= wanted(block);
  const [resting, setResting] = useState(false);
  const mark = (sign: "+" | "-" | "o") => {
    if (full) return;
    const next = marks + sign;
    session.change((e) => withMarks(e, at, block, next));
    if (endsSet(block, next.length)) setResting(true);
  };
  const undo = () => {
    setResting(false);
    session.change((e) => withMarks(e, at, block, marks.slice(0, -1)));
  };
  useAwake();

  const set = Math.floor(marks.length / block.repsPerSet);
  const lastSet = Math.max(0, set - 1);
  const inSet = marks.slice(Math.min(set, block.sets - 1) * block.repsPerSet);
  const strike = nextIsStrike(block, marks.length);
  const contrast = isContrast(block, marks.length);
  const good = [...marks].filter((m) => m === "+").length;
  return (
    <main className="grid min-h-dvh grid-rows-[auto_1fr_auto] gap-3 px-5 pt-3 pb-[max(1rem,env(safe-area-inset-bottom))]">
      <header className="flex items-center gap-2">
        <div className="flex-1">
          <p className="text-soft text-sm">
            {KIND[block.kind]}, {at + 1} of {blocks.length}
            {session.unsent && session.error && " · kept on the phone"}
          </p>
          <Title>{drill.name}</Title>
          <h1 className="text-2xl!">{drill.name}</h1>
        </div>
        <Link
          to="/today"
          aria-label="Leave, to be taken up again"
          className="grid size-11 place-items-center"
        >
          <X aria-hidden className="size-6" />
        </Link>
      </header>

      <div className="grid content-start gap-3">
        <p className="font-serif text-3xl leading-tight">{block.cue}</p>
        <p>{instruction(drill, block)}</p>
        {halfStepOf(block) && (
          <p>
            <strong>{block.conditionLabel}.</strong> {block.conditionDo}
          </p>
        )}
        <p className="text-soft">
          {rung.label}, {speedOf(block)}
          {block.strikes > 0 && `. ${catalogue.forms.find((f) => f.id === block.form)?.how}`}
        </p>
        {resting ? (
          <Rest key={marks.length} seconds={block.restSeconds} onOver={() => setResting(false)} />
        ) : (
          <div className="grid grid-cols-[11rem_1fr] items-center gap-4">
            <DrillDiagram diagram={drill.diagram} hand={today.handedness as Hand} title={drill.name} />
            <p className="text-soft leading-snug">
              {block.scored && <strong className="text-ink">Good is: {drill.good}</strong>}
              {!block.scored && drill.feel}
            </p>
          </div>
        )}
        {notice && (resting || full) && (
          <Noticing
            notice={notice}
            said={noticedOf(session.entry, at)[lastSet] ?? ""}
            onSay={(said) => session.change((e) => withNoticed(e, at, block, lastSet, said))}
          />
        )}
        {drill.caution && <Note tone="warn">{drill.caution}</Note>}
        <details>
          <summary className="text-soft min-h-11 cursor-pointer py-2">How it goes</summary>
          <dl className="grid gap-2 pb-2">
            <Told term="Set-up" text={drill.setUp} />
            <Told term="Do" text={drill.action} />
            <Told term="Good rep" text={drill.good} />
            <Told term="When it goes wrong" text={drill.mistake} />
            <Told term="Easier" text={drill.easier} />
            <Told term="Harder" text={drill.harder} />
          </dl>
        </details>
      </div>

      <div className="grid gap-3">
        <div className="flex items-center gap-3">
          <Pips marks={full ? marks.slice(-block.repsPerSet) : inSet} of={block.repsPerSet} />
          <p className="ml-auto text-right leading-tight" aria-live="polite">
            {full ? "Block done" : `Set ${Math.min(set + 1, block.sets)} of ${block.sets}`}
            <span className="text-soft block text-sm">
              {good} good of {[...marks].filter((m) => m !== "o").length}
            </span>
          </p>
        </div>
        {full ? (
          <Button weight="main" className="min-h-24! text-xl" onClick={onNext}>
            {at + 1 < blocks.length ? "Next block" : "To the end"}
          </Button>
        ) : (
          <>
            {block.strikes > 0 && (
              <p className="text-center font-semibold">{strike ? NOW[block.form] : "Now without a strike"}</p>
            )}
            {contrast ? (
              <div className="grid gap-2">
                <p>
                  <strong>This one wrong on purpose</strong>, to feel the difference. {drill.mistake}
                </p>
                <Target label="Felt it" onClick={() => mark("o")} />
              </div>
            ) : (
              <div className="grid grid-cols-2 gap-3">
                <Target label="Not" onClick={() => mark("-")} />
                <Target label="Good" solid onClick={() => mark("+")} />
              </div>
            )}
          </>
        )}
        <div className="flex justify-between">
          <Button weight="quiet" disabled={marks.length === 0} onClick={undo}>
            <Undo2 aria-hidden className="size-5" /> Undo
          </Button>
          {!full && (
            <Button weight="quiet" onClick={at + 1 < blocks.length ? onNext : onEnd}>
              Skip the rest
            </Button>
          )}
          <Button weight="quiet" onClick={onEnd}>
            Stop here
          </Button>
        </div>
      </div>
    </main>
  );
}

function Target({ label, solid = false, onClick }: { label: string; solid?: boolean; onClick: () => void }) {
  return (
    <button
      type="button"
      onClick={onClick}
      className={`min-h-28 rounded-xl border-3 font-serif text-2xl font-semibold active:scale-[0.98] ${solid ? "bg-ink text-on-ink border-ink" : "border-ink bg-sheet"}`}
    >
      {label}
    </button>
  );
}

function Told({ term, text }: { term: string; text: string }) {
  return (
    <div>
      <dt className="text-soft text-sm">{term}</dt>
      <dd>{text}</dd>
    </div>
  );
}

/** Keeps the screen on while a session runs, where the browser can. */
function useAwake() {
  useEffect(() => {
    let lock: { release: () => Promise<void> } | undefined;
    let over = false;
    void navigator.wakeLock
      ?.request("screen")
      .then((got) => {
        if (over) void got.release();
        else lock = got;
      })
      .catch(() => undefined);
    return () => {
      over = true;
      void lock?.release();
    };
  }, []);
}
