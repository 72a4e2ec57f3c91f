import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Check, FileUp, Trash2, X } from "lucide-react";
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Lesson, LessonEntry, MomentName, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { FileButton } from "@/ui/FileButton";
import { IconButton } from "@/ui/IconButton";
import { Failed, Loading, Note } from "@/ui/Notice";
import { Removal } from "@/ui/Removal";
import { Soles } from "../feet/Soles";
import { Decide } from "../lesson/Decide";
import { belongsElsewhere } from "../lesson/keys";
import { Ranking } from "../lesson/Ranking";
import { WhichBalls } from "../lesson/WhichBalls";
import { MeasuredTable } from "./MeasuredTable";
import { Spark } from "./Spark";
import { SwingPanel } from "./SwingPanel";
import { type PlateState, usePlate, useSwingsChanged } from "./usePlate";

const TraceFileSheet = lazy(() => import("./TraceFileSheet").then((m) => ({ default: m.TraceFileSheet })));

/** A file of loads may be as large as this. */
const LARGEST_MB = 200;

type Swing = Wire["SwingView"];
type Decided = { id: string; state: string; stage: string };
type Moved = { id: string; moments: Record<string, number | null> };

/** A lesson listens to the plate: swings come in, are looked at, kept or thrown away. */
export function PlateView({
  lesson,
  entry,
  catalogue,
  saved,
  stage,
  onStage,
}: {
  lesson: Lesson;
  entry: LessonEntry;
  catalogue: Catalogue;
  saved: boolean;
  stage: MomentName;
  onStage: (stage: MomentName) => void;
}) {
  const client = useQueryClient();
  const swings = useQuery(queries.swings(lesson.id));
  const earlier = useQuery(queries.earlierSwings(lesson.id));
  const { state, loads, lost } = usePlate(lesson.id, stage);
  const changed = useSwingsChanged(lesson.id);
  const [chosenId, setChosen] = useState<string>();
  // What takes back each act, the last one last.
  const [acts, setActs] = useState<(() => void)[]>([]);
  const did = (takeBack: () => void) => setActs((was) => [...was, takeBack]);
  const took = (view: Wire["SwingsView"]) => {
    client.setQueryData(queries.swings(lesson.id).queryKey, view);
    void changed();
  };
  const [picked, setPicked] = useState<File>();
  const takeOut = useMutation({
    mutationFn: (file: string) => api.delete<Wire["SwingsView"]>(`/api/trace-files/${file}`),
    onSuccess: (view: Wire["SwingsView"]) => {
      // What was done to swings that are gone cannot be taken back, nor anything before it.
      setActs([]);
      took(view);
    },
  });
  const decide = useMutation({
    mutationFn: ({ id, state, stage }: Decided) =>
      api.put<Wire["SwingsView"]>(`/api/swings/${id}/state`, { state, stage }),
    onSuccess: took,
  });
  const move = useMutation({
    mutationFn: ({ id, moments }: Moved) =>
      api.put<Wire["SwingsView"]>(`/api/swings/${id}/moments`, { moments }),
    onSuccess: took,
  });
  const ownSpread = useMutation({
    mutationFn: (own: boolean) =>
      api.put<Wire["SwingsView"]>(`/api/lessons/${lesson.id}/own-spread`, { own }),
    onSuccess: took,
  });

  const all = swings.data?.swings ?? [];
  const shown = all.filter((s) => s.stage === stage);
  const waiting = shown.filter((s) => s.state === "heard");
  const newest = shown[shown.length - 1];
  // A swing that comes in is looked at; one that the coach chose stays until the next comes.
  const newestId = useRef(newest?.id);
  useEffect(() => {
    if (newest?.id !== newestId.current) setChosen(undefined);
    newestId.current = newest?.id;
  }, [newest?.id]);
  const chosen = shown.find((s) => s.id === chosenId) ?? newest;

  const say = useCallback(
    (swing: Swing, next: string) => {
      if (swing.state === next) return;
      const { id, state, stage } = swing;
      did(() => decide.mutate({ id, state, stage }));
      decide.mutate({ id, state: next, stage });
    },
    [decide],
  );
  const setMoments = (swing: Swing, moments: Moved["moments"]) => {
    did(() => move.mutate({ id: swing.id, moments: momentsBefore(swing, moments) }));
    move.mutate({ id: swing.id, moments });
  };
  const spreadOwn = (own: boolean) => {
    did(() => ownSpread.mutate(!own));
    ownSpread.mutate(own);
  };
  const takeBack = useCallback(() => {
    acts.at(-1)?.();
    setActs((was) => was.slice(0, -1));
  }, [acts]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      // What scrubs takes arrows only.
      if (belongsElsewhere(event) && !target?.matches("input[type=range]")) return;
      const presses = event.key === "Enter" && !!target?.closest("button, a");
      if ((event.key === "k" || event.key === "Enter") && chosen && !presses) say(chosen, "kept");
      else if ((event.key === "Backspace" || event.key === "Delete") && chosen) say(chosen, "thrown");
      else if (event.key === "z") takeBack();
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [chosen, say, takeBack]);

  if (swings.isPending) return <Loading />;
  if (swings.isError) return <Failed error={swings.error} again={() => swings.refetch()} />;
  const school = catalogue.schools.find((s) => s.id === entry.approach.pressure) ?? catalogue.schools[0]!;
  const last = [...shown].reverse().find((s) => s.state === "kept" && chosen && s.number < chosen.number);
  const kept = shown.filter((s) => s.state === "kept").length;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <WhichBalls value={stage} onChange={onStage} />
        <Listening state={state} lost={lost} lessonId={lesson.id} />
        <DemoSwing lessonId={lesson.id} />
        <span className="no-print">
          <FileButton
            label="File with loads"
            accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values"
            onFile={(file) => setPicked(file)}
          >
            <FileUp aria-hidden className="size-5" /> From a file
          </FileButton>
        </span>
        <p className="text-soft ml-auto text-sm no-print">
          <kbd>k</kbd> keeps, <kbd>Backspace</kbd> throws away, <kbd>z</kbd> takes back
        </p>
      </div>
      {picked && picked.size > LARGEST_MB * 1024 * 1024 && (
        <Note tone="alert">
          {picked.name} is larger than {LARGEST_MB} MB: cut it in parts.
        </Note>
      )}
      {picked && picked.size <= LARGEST_MB * 1024 * 1024 && (
        <Suspense fallback={<Loading />}>
          <TraceFileSheet
            key={picked.lastModified + picked.name}
            lessonId={lesson.id}
            stage={stage}
            file={picked}
            onTaken={() => {
              setPicked(undefined);
              void changed();
            }}
            onClose={() => setPicked(undefined)}
          />
        </Suspense>
      )}
      {state?.problem && <Note tone="alert">{state.problem}</Note>}
      {decide.isError && <Failed error={decide.error} />}

      {shown.length === 0 ? (
        <div className="border-line grid place-items-center gap-3 border border-dashed p-6 text-center">
          {loads ? (
            <div className="w-60">
              <Soles
                hand={lesson.handedness as Hand}
                trailShare={loads.trailShare}
                leadToe={loads.leadFront ?? undefined}
                leadOuter={loads.leadOuter ?? undefined}
                trailToe={loads.trailFront ?? undefined}
                trailOuter={loads.trailOuter ?? undefined}
              />
            </div>
          ) : null}
          <p className="text-soft max-w-prose">
            {state?.connected
              ? "Every swing on the plate appears here as soon as its finish is still. A file with loads (CSV or TSV, up to 200 MB) brings them too."
              : "No plate is connected. A plate reaches Hodegon through a small bridge program."}{" "}
            {!state?.connected && <Link to="/account">Set one up</Link>}
          </p>
        </div>
      ) : (
        <div className="grid gap-x-6 gap-y-4 lg:grid-cols-[minmax(0,1fr)_19rem]">
          <div className="grid content-start gap-4">
            {chosen && (
              <section aria-label={`Swing ${chosen.number}`} className="grid gap-2">
                <div className="flex flex-wrap items-center gap-3">
                  <h2>Swing {chosen.number}</h2>
                  <StateSaid state={chosen.state} />
                  <div className="ml-auto flex gap-2 no-print">
                    <Button
                      weight={chosen.state === "kept" ? "plain" : "main"}
                      disabled={chosen.state === "kept"}
                      onClick={() => say(chosen, "kept")}
                    >
                      <Check aria-hidden className="size-4" /> Keep
                    </Button>
                    <Button disabled={chosen.state === "thrown"} onClick={() => say(chosen, "thrown")}>
                      <X aria-hidden className="size-4" /> Throw away
                    </Button>
                    <Button weight="quiet" disabled={acts.length === 0} onClick={takeBack}>
                      Take back
                    </Button>
                  </div>
                </div>
                <SwingPanel
                  key={chosen.id}
                  swing={chosen}
                  others={all.filter((s) => s.id !== chosen.id && s.state === "kept")}
                  earlier={earlier.data ?? []}
                  last={last}
                  catalogue={catalogue}
                  corridors={school.corridors}
                  hand={lesson.handedness as Hand}
                  onMoments={(moments) => setMoments(chosen, moments)}
                  failed={move.error}
                />
              </section>
            )}
            {chosen && (
              <MeasuredTable
                view={swings.data}
                stage={stage}
                chosen={chosen}
                last={last}
                catalogue={catalogue}
                diagnosis={lesson.diagnosis}
                onOwnSpread={spreadOwn}
              />
            )}
          </div>
          <aside className="grid content-start gap-5">
            <section aria-label="Swings" className="no-print">
              <h2 className="mb-1">
                {kept} kept{waiting.length > 0 && `, ${waiting.length} waiting`}
              </h2>
              <ul className="grid max-h-72 gap-1 overflow-y-auto">
                {[...shown].reverse().map((s) => (
                  <li key={s.id}>
                    <button
                      type="button"
                      aria-pressed={s.id === chosen?.id}
                      onClick={() => setChosen(s.id)}
                      className={`aria-pressed:border-ink hover:bg-tint border-line flex min-h-11 w-full items-center gap-2 rounded border px-2 text-left ${s.state === "thrown" ? "opacity-50" : ""}`}
                    >
                      <span className="w-7 font-semibold tabular-nums">{s.number}</span>
                      <Spark values={s.spark} />
                      <StateSaid state={s.state} />
                    </button>
                  </li>
                ))}
              </ul>
              {swings.data.files
                .filter((f) => f.stage === stage)
                .map((f) => (
                  <p key={f.id} className="border-line flex items-center gap-2 border-b text-sm">
                    {f.name}: {f.swings}
                    <span className="ml-auto">
                      <Removal
                        label={`Take ${f.name} out again`}
                        asks={`Its ${f.swings} swings go from the lesson, with what was set on them by hand.`}
                        onRemove={() => takeOut.mutate(f.id)}
                      >
                        {(open) => (
                          <IconButton
                            label={`Take ${f.name} out again`}
                            disabled={takeOut.isPending}
                            onClick={open}
                          >
                            <Trash2 aria-hidden className="size-4" />
                          </IconButton>
                        )}
                      </Removal>
                    </span>
                  </p>
                ))}
              {takeOut.isError && <Failed error={takeOut.error} />}
            </section>
            <section aria-label="Diagnosis" className="no-print grid gap-3">
              <Decide lesson={lesson} catalogue={catalogue} saved={saved} />
              <Ranking diagnosis={lesson.diagnosis} catalogue={catalogue} />
            </section>
          </aside>
        </div>
      )}
    </div>
  );
}

/** What gives moments back as they were: by hand, or as they were told or found. */
function momentsBefore(swing: Swing, moved: Moved["moments"]): Moved["moments"] {
  return Object.fromEntries(
    Object.keys(moved).map((at) => {
      const was = swing.moments.find((m) => m.id === at);
      return [at, was?.from === "corrected" ? was.time : null];
    }),
  );
}

const STATES: Record<string, string> = { heard: "waiting", kept: "kept", thrown: "thrown away" };

function StateSaid({ state }: { state: string }) {
  return (
    <span className={`text-sm ${state === "heard" ? "font-semibold" : "text-soft"}`}>
      {STATES[state] ?? state}
    </span>
  );
}

/** Whether the plate is there, at a glance. */
function Listening({ state, lost, lessonId }: { state?: PlateState; lost: boolean; lessonId: string }) {
  const elsewhere = state?.listening && state.listening !== lessonId;
  const said = lost
    ? "No connection to the server"
    : !state
      ? "Looking for the plate"
      : elsewhere
        ? "Another lesson listens"
        : state.connected
          ? `${state.plate}, ${Math.round(state.rate)} a second${state.lost > 0 ? `, ${state.lost} samples lost` : ""}`
          : "No plate connected";
  const on = state?.connected && !lost && !elsewhere;
  return (
    <p role="status" className="flex items-center gap-2 font-semibold">
      <span
        aria-hidden
        className={`size-3 rounded-full border-2 ${on ? "bg-ink border-ink" : "border-strong-line bg-transparent"}`}
      />
      {said}
    </p>
  );
}

/** In the demo the student of the lesson stands on a plate that is none. */
function DemoSwing({ lessonId }: { lessonId: string }) {
  const session = useQuery(queries.session());
  const swing = useMutation({ mutationFn: () => api.post<void>(`/api/demo/lessons/${lessonId}/swing`) });
  if ((session.data?.demo.length ?? 0) === 0) return null;
  return (
    <>
      <Button className="no-print" onClick={() => swing.mutate()}>
        Let the stand-in swing
      </Button>
      {swing.isError && <Failed error={swing.error} />}
    </>
  );
}
