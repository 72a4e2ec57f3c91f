import { Ear, Undo2, X } from "lucide-react";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import type { Catalogue, Drill } from "@/api/types";
import { Button } from "@/ui/Button";
import { PartClock } from "@/ui/PartClock";
import { IconButton } from "@/ui/IconButton";
import { Note } from "@/ui/Notice";
import { Title } from "@/ui/Title";
import { CoachSays, HowItGoes, Look } from "./Look";
import { atOnce, instruction, nameOf } from "../drill/instruction";
import { halfStepOf, speedOf } from "../plan/dose";
import { below } from "./asides";
import { BallPanel } from "./BallPanel";
import { answerFor, want, wanted } from "./handsFree";
import { HandsFreeSheet } from "./HandsFreeSheet";
import type { Release } from "./hearing";
import { OwnCue } from "./OwnCue";
import { Pips } from "./Pips";
import { Rest } from "./Rest";
import {
  marksOf,
  noticedOf,
  placeIn,
  type RunBlock,
  type Said,
  toldOf,
  withMarks,
  withNoticed,
  withSpeed,
  withTold,
} from "./session";
import { SetQuestions } from "./SetQuestions";
import type { Today } from "./today";
import { TurnOffer } from "./TurnOffer";
import { formNow, offered } from "./turns";
import { useBeat, useHearing } from "./useHandsFree";
import type { useSession } from "./useSession";

const NOW: Record<string, string> = {
  brush: "Now brush the mark",
  clip: "Now clip the tee",
  "soft-ball": "Now a soft ball",
  net: "Now a ball",
  range: "Now a ball",
  course: "Now a ball",
};
const KIND: Record<string, string> = {
  refresh: "To warm up",
  main: "Main block",
  check: "Check, scored",
  try: "A try, does not count",
};
const ASIDE: Record<string, string> = {
  below: "Lost: one set on the rung below",
  "first-ten": "Days without practice: ten first, to see what stayed",
};

/** Where there is no rung below. */
const EASIER_SET = "Lost: one set of the easier form";

/** One block: one cue, two large targets, pips in sets, a rest after each. */
export function Runner({
  today,
  catalogue,
  session,
  at,
  onNext,
  onAside,
  onEnd,
}: {
  today: Today;
  catalogue: Catalogue;
  session: ReturnType<typeof useSession>;
  at: number;
  onNext: () => void;
  onAside: (block: RunBlock) => void;
  onEnd: () => void;
}) {
  const { blocks, entry } = session;
  const planned = blocks[at]!;
  const drill = catalogue.drills[planned.drill]!;
  const block = {
    ...planned,
    // A plan from before may ask for it of a drill that is never done wrong on purpose.
    contrast: drill.onPurpose ? planned.contrast : 0,
    // What hurt does not go along either.
    joined: today.stopped.includes(planned.joined ?? "") ? undefined : planned.joined,
  };
  const name = nameOf(block, catalogue);
  const rules = catalogue.practice;
  const marks = marksOf(entry, at);
  const told = toldOf(entry, at);
  const place = placeIn(block, marks.length, told.turns, rules.rehearsals);
  const realBall = catalogue.forms.some((f) => f.id === block.form && f.realBall);
  const climbs = blocks.some((b) => b.kind === "try");
  const [resting, setResting] = useState(false);
  const [declined, setDeclined] = useState(0);
  const [free, setFree] = useState(wanted);
  const [freeOpen, setFreeOpen] = useState(false);
  const [release, setRelease] = useState<Release>();
  useAwake();

  const tell = (part: Partial<Said>) => session.change((e) => withTold(e, at, block, part));
  const mark = (sign: "+" | "-" | "o") => {
    if (place.full) return;
    const next = marks + sign;
    const ball = place.strike && realBall && sign !== "o";
    session.change((e) => {
      const marked = withMarks(e, at, block, next);
      return ball ? withTold(marked, at, block, { balls: [...told.balls, {}] }) : marked;
    });
    const then = placeIn(block, next.length, told.turns, rules.rehearsals);
    if (then.inSet === 0 && then.set > place.set && !then.full) setResting(true);
  };
  const undo = () => {
    setResting(false);
    const fewer = marks.slice(0, -1);
    const was = placeIn(block, fewer.length, told.turns, rules.rehearsals);
    const ball = was.strike && realBall && !marks.endsWith("o");
    session.change((e) =>
      withTold(withMarks(e, at, block, fewer), at, block, {
        turns: told.turns.filter((t) => t.at <= fewer.length),
        balls: ball ? told.balls.slice(0, -1) : told.balls,
      }),
    );
  };
  const offer = place.full ? null : offered(block, marks, told.turns, declined, rules);
  const lastSet = Math.max(0, place.full ? block.sets - 1 : place.set - 1);

  useBeat(free.beat && !resting && !place.full, today.tempo);
  const listening = useHearing(
    { sound: free.sound, release: free.release && drill.notice?.kind === "sound" },
    {
      onCount: () => !resting && !place.contrast && mark("+"),
      onRelease: (heard) => {
        setRelease(heard);
        if (heard.kind !== "timed" && heard.kind !== "silent") return;
        const said = answerFor(heard.kind === "timed" ? heard.ms : null);
        session.change((e) => withNoticed(e, at, block, place.set, said));
      },
    },
  );

  return (
    <main className="grid min-h-dvh grid-rows-[auto_1fr_auto] gap-3 px-5 pt-3">
      <header className="flex items-center gap-2">
        <div className="flex-1">
          <p className="text-soft text-sm">
            {block.aside
              ? block.lowest
                ? EASIER_SET
                : ASIDE[block.aside]
              : `${KIND[block.kind]}, ${at + 1} of ${ownBlocks(blocks)}`}
            {climbs && !block.aside && (
              <>
                {" · "}
                <PartClock minutes={block.minutes} />
              </>
            )}
            {session.unsent && session.error && " · kept on the phone"}
          </p>
          <Title>{name}</Title>
          <h1 className="text-xl! leading-tight">{name}</h1>
        </div>
        <IconButton label="Without hands" onClick={() => setFreeOpen(true)}>
          <Ear aria-hidden className="size-6" />
        </IconButton>
        <Link
          to="/today"
          aria-label="Leave, to be taken up again"
          className="grid size-11 place-items-center"
        >
          <X aria-hidden className="size-6" />
        </Link>
      </header>

      <div className="grid content-start gap-3">
        <div>
          <p className="font-serif text-3xl leading-tight">{block.cue}</p>
          {block.cue === drill.cue && <OwnCue key={drill.id} {...{ today, drill }} />}
        </div>
        <Instruction block={block} drill={drill} turns={told.turns} catalogue={catalogue} />
        {marks.length === 0 && <CoachSays words={today.words[drill.id]} drill={drill} />}
        {resting && <Rest key={marks.length} seconds={block.restSeconds} onOver={() => setResting(false)} />}
        {offer && (
          <TurnOffer
            offer={offer}
            block={block}
            drill={drill}
            rules={rules}
            onTake={(kind) => tell({ turns: [...told.turns, { at: marks.length, kind }] })}
            onDecline={() => setDeclined(marks.length)}
          />
        )}
        {realBall && (told.balls.length > 0 || place.strike) ? (
          <BallPanel catalogue={catalogue} told={told} onTold={tell} />
        ) : (
          !resting &&
          !offer && (
            <Look
              free={free.tap && !place.full}
              first={marks.length === 0}
              onTap={() => mark("+")}
              {...{ today, block, drill }}
            />
          )
        )}
        {(resting || place.full) && (
          <SetQuestions
            notice={drill.notice}
            scales={catalogue.scales}
            noticed={noticedOf(entry, at)[lastSet] ?? ""}
            onNoticed={(said) => session.change((e) => withNoticed(e, at, block, lastSet, said))}
            block={block}
            speed={told.speeds[lastSet] ?? 0}
            onSpeed={(speed) => session.change((e) => withSpeed(e, at, block, lastSet, speed))}
          />
        )}
        {free.release && drill.notice?.kind === "sound" && <Released release={release} />}
        {drill.caution && place.inSet === 0 && <Note tone="warn">{drill.caution}</Note>}
        <HowItGoes key={at} first={marks.length === 0} {...{ drill, block, today }} />
      </div>

      <div className="bg-paper sticky bottom-0 grid gap-3 pt-1 pb-[max(0.5rem,env(safe-area-inset-bottom))]">
        <Count marks={marks} block={block} place={place} />
        {place.full ? (
          <Button weight="main" className="min-h-24! text-xl" onClick={onNext}>
            {block.during !== undefined
              ? "Back to the block"
              : at + 1 < blocks.length
                ? "Next block"
                : "To the end"}
          </Button>
        ) : (
          <>
            {block.strikes > 0 && (
              <p className="text-center font-semibold">
                {place.strike ? NOW[block.form] : "Now without a strike"}
              </p>
            )}
            {place.contrast ? (
              <div className="grid gap-2">
                <p>
                  <strong>This one wrong on purpose</strong>, to feel the difference. {drill.onPurpose}
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
          <Button weight="quiet" className="px-2!" disabled={marks.length === 0} onClick={undo}>
            <Undo2 aria-hidden className="size-5" /> Undo
          </Button>
          {!place.full && !block.aside && (block.kind === "main" || block.kind === "try") && (
            <Button weight="quiet" className="px-2!" onClick={() => onAside(below(block, at, catalogue))}>
              Lost it
            </Button>
          )}
          {!place.full && (
            <Button weight="quiet" className="px-2!" aria-label="Skip the rest" onClick={onNext}>
              Skip
            </Button>
          )}
          <Button weight="quiet" className="px-2!" onClick={onEnd}>
            Stop here
          </Button>
        </div>
      </div>
      <HandsFreeSheet
        open={freeOpen}
        onOpenChange={setFreeOpen}
        all={free}
        onChange={(all) => {
          want(all);
          setFree(all);
        }}
        sounds={drill.notice?.kind === "sound"}
        tempo={`${today.tempo.backswing} and ${today.tempo.downswing} ms`}
        own={today.tempo.own}
        listening={listening}
      />
    </main>
  );
}

const ownBlocks = (blocks: RunBlock[]) => blocks.filter((b) => !b.aside).length;

/** What to do now: the rung's own, or what the session has made of it. */
function Instruction({
  block,
  drill,
  turns,
  catalogue,
}: {
  block: RunBlock;
  drill: Drill;
  turns: Said["turns"];
  catalogue: Catalogue;
}) {
  const form = block.lowest ? "easier" : formNow(turns);
  const next = drill.next[block.rung];
  const rung = catalogue.rungs.find((r) => r.id === block.rung);
  return (
    <>
      <p>{instruction(drill, block)}</p>
      {block.joined && <p>{atOnce(block, catalogue)}</p>}
      {form === "easier" && (
        <p>
          <strong>Easier now.</strong> {drill.easier}
        </p>
      )}
      {form === "harder" && (
        <p>
          <strong>{next ? next.label : "Harder now"}.</strong> {next ? next.action : drill.harder}
        </p>
      )}
      {halfStepOf(block) && !form && (
        <p>
          <strong>{block.conditionLabel}.</strong> {block.conditionDo}
        </p>
      )}
      <p className="text-soft">
        {[rung?.label, speedOf(block)].filter(Boolean).join(", ")}
        {block.strikes > 0 && `. ${catalogue.forms.find((f) => f.id === block.form)?.how}`}
      </p>
    </>
  );
}

const WHY_NOT: Record<string, string> = {
  "no-strike": "The prop was heard, a strike was not.",
  silent: "The strike was heard, the prop was not.",
  "too-loud": "Too loud here to time it.",
};

/** When the prop sounded, as the microphone heard it. */
function Released({ release }: { release?: Release }) {
  return (
    <p role="status" className="font-semibold">
      {!release
        ? "Listening for the prop and the strike."
        : release.kind === "timed"
          ? `The prop sounded ${Math.abs(release.ms)} ms ${release.ms >= 0 ? "before" : "after"} the strike.`
          : WHY_NOT[release.kind]}
    </p>
  );
}

/** The pips of the present set, and how it goes in words. */
function Count({
  marks,
  block,
  place,
}: {
  marks: string;
  block: RunBlock;
  place: ReturnType<typeof placeIn>;
}) {
  const good = [...marks].filter((m) => m === "+").length;
  const judged = [...marks].filter((m) => m !== "o").length;
  const shown = place.full
    ? marks.slice(-block.repsPerSet)
    : place.inSet === 0
      ? ""
      : marks.slice(-place.inSet);
  return (
    <div className="flex items-center gap-3">
      <Pips marks={shown} of={block.repsPerSet} />
      <p className="ml-auto text-right leading-tight" aria-live="polite">
        {place.full ? "Block done" : `Set ${Math.min(place.set + 1, block.sets)} of ${block.sets}`}
        <span className="text-soft block text-sm">
          {good} good of {judged}
        </span>
      </p>
    </div>
  );
}

function Target({ label, solid = false, onClick }: { label: string; solid?: boolean; onClick: () => void }) {
  return (
    <button
      type="button"
      onClick={onClick}
      className={`min-h-24 rounded-xl border-3 font-serif text-2xl font-semibold active:scale-[0.98] ${solid ? "bg-ink text-on-ink border-ink" : "border-ink bg-sheet"}`}
    >
      {label}
    </button>
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
