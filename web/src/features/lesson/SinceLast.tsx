import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Lesson, Progress } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { longDay } from "@/calendar/dates";
import { Failed, Loading } from "@/ui/Notice";
import { ThenAndNow } from "../clip/lazily";
import { ThenAndNowGolfer } from "../golfer/lazily";
import { ChangesTable } from "../progress/ChangesTable";
import { Opening } from "./Opening";
import { ProposalPanel } from "../progress/ProposalPanel";
import { SignsThenAndNow } from "../progress/SignsThenAndNow";
import { WholeWork } from "../progress/WholeWork";
import { Wide } from "@/ui/Wide";

/** How the next lesson opens: what was promised, what was done, what was kept, and what to do with it. */
export function SinceLast({
  lesson,
  catalogue,
  onBegin,
}: {
  lesson: Lesson;
  catalogue: Catalogue;
  /** To the first balls of today. */
  onBegin: () => void;
}) {
  const { id: lessonId, studentId } = lesson;
  const progress = useQuery(queries.progress(lessonId));
  if (progress.isPending) return <Loading />;
  if (progress.isError) return <Failed error={progress.error} again={() => progress.refetch()} />;
  const {
    since,
    sinceLesson,
    worked,
    done,
    promised,
    changes,
    signs,
    whole,
    between,
    stopped,
    notes,
    proposal,
  } = progress.data;
  if (!since)
    return (
      <div className="grid gap-4">
        <Opening lesson={lesson} catalogue={catalogue} stopped={stopped} />
        <p className="text-soft">No earlier lesson was measured: there is nothing to compare with yet.</p>
      </div>
    );
  const faults = worked.map((id) => catalogue.faults.find((f) => f.id === id)?.label ?? id);
  return (
    <div className="grid gap-4">
      <Opening lesson={lesson} catalogue={catalogue} stopped={stopped} />
      <p>
        Since {longDay(since)}
        {faults.length > 0 && `, on ${faults.join(", then ").toLowerCase()}`}:{" "}
        {done ? (
          <>
            <strong>
              {done.doneDays} of {done.plannedDays} days
            </strong>{" "}
            practised, {done.doneReps} of {done.plannedReps} reps
            {done.plannedReps > 0 && ` (${Math.round((100 * done.doneReps) / done.plannedReps)} %)`}
          </>
        ) : (
          "no plan was handed over"
        )}
        .
      </p>
      {promised.length > 0 && <Promised promised={promised} catalogue={catalogue} />}
      {done && done.plannedReps > 0 && done.doneReps < done.plannedReps / 2 && (
        <p className="text-warn">
          Less than half was practised: what has not changed is no word against the drill.
        </p>
      )}
      {/* Before today is measured there is nothing to decide on. */}
      {proposal && changes.length > 0 && (
        <ProposalPanel lessonId={lessonId} proposal={proposal} worked={worked} catalogue={catalogue} />
      )}
      {changes.length === 0 ? (
        <div className="grid justify-items-start gap-2">
          <p className="text-soft">Tally the first balls of today, before any cue, to see what was kept.</p>
          <Button weight="main" onClick={onBegin}>
            To today's first balls
          </Button>
        </div>
      ) : (
        <>
          <ThenAndNow
            then={{ lesson: sinceLesson!, stage: "before" }}
            now={{ lesson: lessonId, stage: "before" }}
            hand={lesson.handedness as Hand}
            catalogue={catalogue}
          />
          {whole && <WholeWork whole={whole} catalogue={catalogue} />}
          <section aria-labelledby="since-last" className="grid gap-1">
            <h2 id="since-last">Since last time</h2>
            <ChangesTable changes={changes} />
            <SignsThenAndNow
              signs={whole ? signs.filter((s) => s.then !== s.now) : signs}
              catalogue={catalogue}
            />
          </section>
        </>
      )}
      <div className="flex flex-wrap gap-x-12 gap-y-4">
        {between.length > 0 && <Practised sums={between} />}
        {changes.length > 0 && <ThenAndNowGolfer then={sinceLesson!} now={lesson} />}
      </div>
      {notes.map((note) => (
        <p key={note} className="text-soft text-sm">
          {note}
        </p>
      ))}
      <div className="flex flex-wrap gap-2">
        {changes.length > 0 && (
          <ButtonLink to={`/students/${studentId}/compare?first=${sinceLesson}&second=${lessonId}`}>
            Side by side
          </ButtonLink>
        )}
        <ButtonLink to={`/lessons/${lessonId}/report`} weight="quiet">
          Report for the student
        </ButtonLink>
        <Link to={`/lessons/${sinceLesson}`} className="text-soft self-center text-sm">
          The last lesson
        </Link>
      </div>
    </div>
  );
}

/** What practice itself told since then; what tells most of the movement is in sight, each ball a tap away. */
function Practised({ sums }: { sums: Progress["between"] }) {
  const balls = sums.filter((s) => s.id.startsWith("practice:"));
  const others = sums.filter((s) => !balls.includes(s));
  return (
    <section aria-labelledby="practised">
      <h2 id="practised">Told by practice</h2>
      {others.length > 0 && <Sums sums={others} />}
      {balls.length > 0 && (
        <details open={others.length === 0}>
          <summary className="text-soft w-fit cursor-pointer py-1">Balls hit in practice</summary>
          <Sums sums={balls} />
        </details>
      )}
    </section>
  );
}

function Sums({ sums }: { sums: Progress["between"] }) {
  return (
    <Wide label="Told by practice">
      <table className="w-fit border-collapse text-left">
        {sums.some(hasWeeks) && (
          <thead className="text-soft text-sm">
            <tr>
              <td colSpan={3} />
              <th scope="col" className="pl-4 font-normal">
                By week
              </th>
            </tr>
          </thead>
        )}
        <tbody>
          {sums.map((sum) => (
            <tr key={sum.id} className="border-line border-b align-baseline">
              <td className="py-1 pr-4">{sum.label}</td>
              <td className="pr-4 sm:whitespace-nowrap">
                <strong>
                  {sum.hits} of {sum.of}
                </strong>{" "}
                {sum.tries}
              </td>
              <td className="text-soft sm:whitespace-nowrap">
                {Math.round(sum.low)} to {Math.round(sum.high)} %{sum.few && ", few yet"}
              </td>
              <td className="pl-4">{hasWeeks(sum) && <ByWeek weeks={sum.weeks} />}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

const hasWeeks = (sum: Progress["between"][number]) => sum.weeks.length > 1;

const COLUMN = 34;
const HIGH = 22;

/** A column for each week since the lesson, as high as the share; a week in which nothing was counted stands empty. */
function ByWeek({ weeks }: { weeks: Progress["between"][number]["weeks"] }) {
  const last = weeks.at(-1)!.week;
  return (
    <svg
      role="img"
      aria-label={`By week: ${weeks.map((w) => `week ${w.week}, ${w.hits} of ${w.of}`).join("; ")}`}
      width={last * COLUMN}
      height={HIGH + 14}
      className="align-middle"
    >
      {weeks.map((w) => {
        const high = (HIGH * w.hits) / w.of;
        return (
          <g key={w.week} transform={`translate(${(w.week - 1) * COLUMN} 0)`}>
            <rect x="4" y={HIGH - high} width={COLUMN - 8} height={high} className="fill-strong-line" />
            <line x1="2" x2={COLUMN - 2} y1={HIGH} y2={HIGH} className="stroke-ink" />
            <text x={COLUMN / 2} y={HIGH + 12} textAnchor="middle" className="fill-soft text-xs">
              {w.hits}/{w.of}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

function Promised({ promised, catalogue }: { promised: Progress["promised"]; catalogue: Catalogue }) {
  const rung = (id: string) => catalogue.rungs.find((r) => r.id === id)?.label ?? id;
  return (
    <Wide label="Promised">
      <table className="w-fit border-collapse text-left">
        <caption className="text-soft text-left text-sm">
          What the plan promised by now, and what came of it
        </caption>
        <tbody>
          {promised.map((p) => (
            <tr key={p.fault + p.rung} className="border-line border-b">
              <td className="py-1 pr-4 font-semibold">{rung(p.rung)}</td>
              <td className="pr-4">{catalogue.drills[p.drill]?.name ?? p.drill}</td>
              <td className="text-soft pr-4">
                {p.chance == null ? "" : `${Math.round(100 * p.chance)} % expected`}
              </td>
              <td className="text-soft pr-4">{lastChecks(p.checks)}</td>
              <td className={p.standing === "passed" ? "font-semibold" : "text-soft"}>
                {p.standing ? STANDING[p.standing] : "not checked"}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}

const MOST_CHECKS = 6;

/** The last checks of a gate, and how many there were if there were more. */
function lastChecks(checks: number[]): string {
  if (checks.length === 0) return "";
  const last = `${checks.slice(-MOST_CHECKS).join(" · ")} of 10`;
  return checks.length > MOST_CHECKS ? `${checks.length} checks, last ${last}` : last;
}

const STANDING: Record<string, string> = {
  passed: "passed",
  waits: "waits for your word",
  stay: "not yet",
  reopened: "open again after a step back",
  "step-back": "too high, stepped back",
};
