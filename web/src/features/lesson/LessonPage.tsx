import { useQuery } from "@tanstack/react-query";
import { Keyboard, Redo2, Undo2 } from "lucide-react";
import { lazy, Suspense, useCallback, useEffect, useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Hand, Lesson, MomentName } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { AskBeforeLeaving } from "@/ui/AskBeforeLeaving";
import { IconButton } from "@/ui/IconButton";
import { Meanwhile } from "@/ui/Meanwhile";
import { Failed, Loading, Note } from "@/ui/Notice";
import { SaveStatus } from "@/ui/SaveStatus";
import { answered, counted, countedInLast, isBlank, noToTheRest } from "./changes";
import { Decide, goToDecision } from "./Decide";
import { DecisionRecord } from "./DecisionRecord";
import { FeetPanel } from "./FeetPanel";
import { FindSign } from "./FindSign";
import { belongsElsewhere, TALLY_KEYS } from "./keys";
import { KeyedBalls } from "./KeyedBalls";
import { KeysSheet } from "./KeysSheet";
import { NextLooks } from "./NextLooks";
import { Opening } from "./Opening";
import { Ranking } from "./Ranking";
import { ReadingsForm } from "./ReadingsForm";
import { BODY_SCREEN, CheckpointStrip, type Sign, SignList, signsAt } from "./SignList";
import { SinceLast } from "./SinceLast";
import { SchoolOfLesson } from "./SchoolOfLesson";
import { TakeBack } from "./TakeBack";
import { StartCheck } from "./StartCheck";
import { TallyKeys } from "./TallyKeys";
import { TriedPanel } from "./TriedPanel";
import { ShotsPanel } from "../shots/ShotsPanel";
import { PlateView } from "../plate/PlateView";
import { UnexplainedBalls } from "./UnexplainedBalls";
import { useLessonEntry } from "./useLessonEntry";
import { WhyPanel } from "./WhyPanel";
import { Title } from "@/ui/Title";

const ClipView = lazy(() => import("../clip/ClipView"));
const SignSheet = lazy(() => import("../golfer/SignSheet"));

const VIEWS = [
  { id: "before", label: "Before" },
  { id: "since", label: "Since last time" },
  { id: "plate", label: "Plate" },
  { id: "clip", label: "Clip" },
  { id: "feet", label: "Feet" },
  { id: "why", label: "Why" },
  { id: "tried", label: "Tried" },
  { id: "after", label: "After" },
];

/** A lesson as it is taught: what is seen on the left, what it says on the right. */
export default function LessonPage() {
  const id = useParams().id as string;
  const lesson = useQuery({ ...queries.lesson(id), refetchOnWindowFocus: false });
  const catalogue = useCatalogue(lesson.data?.handedness);
  if (lesson.isPending || catalogue.isPending) return <Loading />;
  if (lesson.isError) return <Failed error={lesson.error} again={() => lesson.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  return <LessonDesk key={id} lesson={lesson.data} catalogue={catalogue.data} />;
}

function LessonDesk({ lesson, catalogue }: { lesson: Lesson; catalogue: Catalogue }) {
  const work = useLessonEntry(lesson);
  const { entry, change, undo, redo } = work;
  const [params, setParams] = useSearchParams();
  const view = VIEWS.some((v) => v.id === params.get("view")) ? (params.get("view") as string) : "before";
  const show = useCallback((next: string) => setParams({ view: next }, { replace: true }), [setParams]);
  const [stage, setStage] = useState<MomentName>("before");
  const look = useCallback(
    (next: string | undefined) => {
      // The swings that come now are of the balls last looked at.
      if (next === "before" || next === "after") setStage(next);
      if (next) show(next);
    },
    [show],
  );
  const [place, setPlace] = useState("address");
  const [marked, setMarked] = useState<string>();
  const [shown, setShown] = useState<Sign>();
  const [keys, setKeys] = useState(false);
  const [find, setFind] = useState(false);
  const moment: MomentName = view === "after" ? "after" : "before";
  const signs = signsAt(catalogue, place);
  const current = signs.some((s) => s.id === marked) ? marked : signs[0]?.id;

  useEffect(() => {
    const places = [...catalogue.checkpoints.map((c) => c.id), BODY_SCREEN].filter(
      (p) => signsAt(catalogue, p).length > 0,
    );
    const go = (to: string, sign?: string) => {
      setPlace(to);
      setMarked(sign);
    };
    const step = (by: 1 | -1) => {
      const index = signs.findIndex((s) => s.id === current);
      const next = signs[index + by];
      if (next) setMarked(next.id);
      else if (by === 1) {
        const following = places[places.indexOf(place) + 1];
        if (following) go(following, signsAt(catalogue, following)[0]?.id);
      }
    };
    const onKey = (event: KeyboardEvent) => {
      // Swings are decided on by keys of their own.
      const everywhere = ["?", ",", ".", "p"].includes(event.key);
      if (belongsElsewhere(event) || ((view === "plate" || view === "clip") && !everywhere)) return;
      const at = VIEWS.findIndex((v) => v.id === view);
      const ball = TALLY_KEYS[event.key];
      const digit = places[Number(event.key) - 1];
      if (ball && (view === "before" || view === "after" || view === "since")) {
        // The first ball ends the look back.
        if (view === "since") show("before");
        change((e) => counted(e, moment, ball.kind, ball.result, 1));
      } else if (ball && view === "tried") {
        change((e) => countedInLast(e, ball.kind, ball.result));
      } else if (digit) go(digit);
      else if ((event.key === "y" || event.key === "n" || event.key === "x") && current) {
        const answer = event.key === "y" ? "yes" : event.key === "n" ? "no" : "unseen";
        change((e) => answered(e, current, answer));
        step(1);
      } else if (event.key === "N") change((e) => noToTheRest(e, signs));
      else if (event.key === "ArrowDown") step(1);
      else if (event.key === "ArrowUp") step(-1);
      else if (event.key === "z") undo();
      else if (event.key === "Z") redo();
      else if (event.key === ",") look(VIEWS[at - 1]?.id);
      else if (event.key === ".") look(VIEWS[at + 1]?.id);
      else if (event.key === "p") goToDecision();
      else if (event.key === "/") setFind(true);
      else if (event.key === "?") setKeys(true);
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [catalogue, change, current, look, moment, place, redo, show, signs, undo, view]);

  return (
    <div className="grid gap-4">
      <Meanwhile changed={work.meanwhile} onSeen={work.seenMeanwhile} />
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <Title>{`Lesson: ${lesson.studentName}`}</Title>
        <h1>
          <Link to={`/students/${lesson.studentId}`} className="no-underline hover:underline">
            {lesson.studentName}
          </Link>
        </h1>
        <p className="text-soft">{longDay(lesson.heldOn)}</p>
        <button
          type="button"
          className="bg-sheet border-ink sr-only min-h-11 rounded border px-3 focus:not-sr-only"
          onClick={goToDecision}
        >
          To what is decided
        </button>
        <div role="group" aria-label="Views" className="no-print flex flex-wrap gap-1">
          {VIEWS.map((v) => (
            <button
              key={v.id}
              type="button"
              aria-pressed={view === v.id}
              onClick={() => look(v.id)}
              className="aria-pressed:border-ink hover:bg-tint min-h-11 border-b-3 border-transparent px-3 font-semibold"
            >
              {v.label}
            </button>
          ))}
        </div>
        <div className="no-print ml-auto flex items-center gap-1">
          <SaveStatus state={work.state} error={work.error} kept={work.isKept()} />
          <AskBeforeLeaving when={work.state !== "saved"} unless={work.isKept} />
          <IconButton label="Undo" disabled={!work.canUndo} onClick={undo}>
            <Undo2 aria-hidden className="size-5" />
          </IconButton>
          <IconButton label="Redo" disabled={!work.canRedo} onClick={redo}>
            <Redo2 aria-hidden className="size-5" />
          </IconButton>
          <IconButton label="Keys" onClick={() => setKeys(true)}>
            <Keyboard aria-hidden className="size-5" />
          </IconButton>
        </div>
      </header>

      {shown && (
        <Suspense>
          <SignSheet
            sign={shown}
            catalogue={catalogue}
            lesson={lesson}
            school={entry.approach.pressure!}
            onClose={() => setShown(undefined)}
          />
        </Suspense>
      )}
      {view === "plate" && (
        <PlateView
          saved={work.state === "saved"}
          lesson={lesson}
          entry={entry}
          catalogue={catalogue}
          stage={stage}
          onStage={setStage}
        />
      )}
      {view === "clip" && (
        <Suspense fallback={<Loading />}>
          <ClipView
            saved={work.state === "saved"}
            lesson={lesson}
            catalogue={catalogue}
            stage={stage}
            onStage={setStage}
          />
        </Suspense>
      )}
      {view === "feet" && (
        <FeetPanel
          measured={lesson.measured}
          lessonId={lesson.id}
          entry={entry}
          saved={work.state === "saved"}
          catalogue={catalogue}
          hand={lesson.handedness as Hand}
        />
      )}
      {view === "why" && (
        <>
          <Decide lesson={lesson} catalogue={catalogue} saved={work.state === "saved"} />
          <WhyPanel lesson={lesson} entry={entry} catalogue={catalogue} />
        </>
      )}
      <div
        hidden={view === "feet" || view === "why" || view === "plate" || view === "clip"}
        className="grid gap-6 md:grid-cols-[minmax(0,1fr)_17rem] lg:grid-cols-[minmax(0,1fr)_23rem] lg:gap-8"
      >
        <div className="grid content-start gap-5">
          {view === "since" &&
            // Asked for only once everything is saved: an answer on half of the balls would stay.
            (work.state === "saved" ? (
              <SinceLast lesson={lesson} catalogue={catalogue} onBegin={() => show("before")} />
            ) : (
              <Loading what="Saving" />
            ))}
          {view === "tried" && (
            <TriedPanel
              lesson={lesson}
              entry={entry}
              saved={work.state === "saved"}
              catalogue={catalogue}
              change={change}
            />
          )}
          {(view === "before" || view === "after") && (
            <>
              {view === "before" && isBlank(entry) && (
                <Opening lesson={lesson} catalogue={catalogue} onSince={() => show("since")} />
              )}
              <TallyKeys entry={entry} moment={moment} catalogue={catalogue} change={change} />
              {view === "before" && <StartCheck lessonId={lesson.id} catalogue={catalogue} />}
              {view === "before" && (
                <section aria-label="Signs" className="grid gap-2">
                  <CheckpointStrip
                    catalogue={catalogue}
                    entry={entry}
                    chosen={place}
                    onChoose={(p) => {
                      setPlace(p);
                      setMarked(undefined);
                    }}
                  />
                  <SignList
                    signs={signs}
                    entry={entry}
                    current={current}
                    onCurrent={setMarked}
                    onShow={setShown}
                    change={change}
                  />
                </section>
              )}
              <section aria-labelledby="readings">
                <h2 id="readings" className="mb-1">
                  Readings
                </h2>
                <FromSwings measured={lesson.measured.filter((m) => m.stage === moment)} onShow={show} />
                <ReadingsForm entry={entry} moment={moment} catalogue={catalogue} change={change} />
              </section>
              <label className="grid gap-1">
                <span className="font-semibold">Note</span>
                <textarea
                  rows={2}
                  maxLength={2000}
                  value={entry.note}
                  onChange={(e) => change((was) => ({ ...was, note: e.target.value }))}
                />
              </label>
              <ShotsPanel lessonId={lesson.id} studentId={lesson.studentId} moment={moment}>
                <KeyedBalls
                  entry={entry}
                  moment={moment}
                  hand={lesson.handedness as Hand}
                  catalogue={catalogue}
                  change={change}
                  withClub
                />
              </ShotsPanel>
            </>
          )}
        </div>
        <aside aria-label="Diagnosis" className="grid content-start gap-4">
          <Decide lesson={lesson} catalogue={catalogue} saved={work.state === "saved"} />
          <DecisionRecord lesson={lesson} catalogue={catalogue} />
          <Ranking diagnosis={lesson.diagnosis} catalogue={catalogue} />
          <NextLooks diagnosis={lesson.diagnosis} catalogue={catalogue} entry={entry} change={change} />
          <UnexplainedBalls diagnosis={lesson.diagnosis} catalogue={catalogue} />
          <div className="grid gap-2">
            {lesson.diagnosis.notes.map((note) => (
              <Note key={note} tone={note.startsWith("Sore") ? "alert" : "plain"}>
                {note}
              </Note>
            ))}
          </div>
          <SchoolOfLesson lesson={lesson} entry={entry} catalogue={catalogue} change={change} />
          <TakeBack lesson={lesson} onGone={work.discard} />
        </aside>
      </div>
      <KeysSheet open={keys} onOpenChange={setKeys} catalogue={catalogue} />
      <FindSign
        open={find}
        onOpenChange={setFind}
        catalogue={catalogue}
        onFound={(sign) => {
          setFind(false);
          setPlace(sign.effort === "screen" ? BODY_SCREEN : sign.at);
          setMarked(sign.id);
        }}
      />
    </div>
  );
}

/** What kept swings have read already, so that nobody types it again. */
function FromSwings({ measured, onShow }: { measured: Lesson["measured"]; onShow: (view: string) => void }) {
  const of = (source: string) => measured.filter((m) => m.reading.source === source);
  return (
    <>
      {[
        { source: "plate", view: "plate", from: "kept swings on the plate" },
        { source: "clip", view: "clip", from: "kept clips" },
      ]
        .filter(({ source }) => of(source).length > 0)
        .map(({ source, view, from }) => (
          <p key={source} className="mb-2">
            {of(source).length} readings from {Math.max(...of(source).map((m) => m.reading.swings))} {from}.{" "}
            <button type="button" className="min-h-11 underline" onClick={() => onShow(view)}>
              Show them
            </button>
          </p>
        ))}
    </>
  );
}
