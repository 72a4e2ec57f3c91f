import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { ALL_LESSONS, queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Compare, Hand, Thread } from "@/api/types";
import { longDay, shortDay } from "@/calendar/dates";
import { Failed, Loading } from "@/ui/Notice";
import { Choice } from "@/ui/Choice";
import { ThenAndNow } from "../clip/lazily";
import { ShareStrip } from "../feet/ShareStrip";
import { Soles } from "../feet/Soles";
import { TallyBars } from "./TallyBars";
import { type Change, inOrder, told } from "./verdicts";
import { Title } from "@/ui/Title";

/** Two moments of a student's lessons side by side, in words one can say. */
export default function ComparePage() {
  const id = useParams().id as string;
  const [params, setParams] = useSearchParams();
  const student = useQuery(queries.student(id));
  const thread = useQuery(queries.thread(id, ALL_LESSONS));
  const catalogue = useCatalogue(student.data?.profile.handedness);
  const knots = thread.data?.knots ?? [];
  const second = params.get("second") ?? knots.at(-1)?.lessonId ?? "";
  const first = params.get("first") ?? knots.at(-2)?.lessonId ?? second;
  const firstAt = params.get("firstAt") ?? "before";
  const secondAt = params.get("secondAt") ?? (first === second ? "after" : "before");
  const compared = useQuery({
    ...queries.compare(id, first, firstAt, second, secondAt),
    enabled: first !== "",
  });
  if (student.isPending || thread.isPending || catalogue.isPending) return <Loading />;
  if (student.isError) return <Failed error={student.error} again={() => student.refetch()} />;
  if (thread.isError) return <Failed error={thread.error} again={() => thread.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const set = (changed: Record<string, string>) =>
    setParams({ first, firstAt, second, secondAt, ...changed }, { replace: true });
  return (
    <div className="grid gap-5">
      <header className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <Title>{`Side by side: ${student.data.profile.name}`}</Title>
        <h1>
          <Link to={`/students/${id}`} className="no-underline hover:underline">
            {student.data.profile.name}
          </Link>
          , side by side
        </h1>
        {first && (
          <>
            <Which
              label="Then"
              knots={knots}
              lesson={first}
              at={firstAt}
              onChange={(lesson, at) => set({ first: lesson, firstAt: at })}
            />
            <Which
              label="Now"
              knots={knots}
              lesson={second}
              at={secondAt}
              onChange={(lesson, at) => set({ second: lesson, secondAt: at })}
            />
          </>
        )}
      </header>
      {!first && <p className="text-soft">There is no lesson to compare yet.</p>}
      {compared.isError && <Failed error={compared.error} again={() => compared.refetch()} />}
      {compared.data && (
        <Moments
          compared={compared.data}
          catalogue={catalogue.data}
          hand={student.data.profile.handedness as Hand}
        >
          <ThenAndNow
            then={{ lesson: first, stage: firstAt }}
            now={{ lesson: second, stage: secondAt }}
            hand={student.data.profile.handedness as Hand}
            catalogue={catalogue.data}
          />
        </Moments>
      )}
    </div>
  );
}

function Which({
  label,
  knots,
  lesson,
  at,
  onChange,
}: {
  label: string;
  knots: Thread["knots"];
  lesson: string;
  at: string;
  onChange: (lesson: string, at: string) => void;
}) {
  return (
    <label className="grid">
      <span className="text-soft text-sm">{label}</span>
      <select
        value={`${lesson} ${at}`}
        onChange={(e) => {
          const [chosen, moment] = e.target.value.split(" ");
          onChange(chosen!, moment!);
        }}
      >
        {knots.flatMap((k) =>
          ["before", "after"].map((moment) => (
            <option key={k.lessonId + moment} value={`${k.lessonId} ${moment}`}>
              {shortDay(k.heldOn)}, {moment}
            </option>
          )),
        )}
      </select>
    </label>
  );
}

/** Whether one reading at least was taken at both moments by the same source. */
function sameTwice({ first, second }: Compare): boolean {
  return first.readings.some((r) =>
    second.readings.some((s) => s.id === r.id && s.at === r.at && s.source === r.source),
  );
}

function Moments({
  compared,
  catalogue,
  hand,
  children,
}: {
  compared: Compare;
  catalogue: Catalogue;
  hand: Hand;
  children: ReactNode;
}) {
  const { first, second, done, changes, notes } = compared;
  const telling = (change: Change) => change.concerns || told(change.comparison);
  const untold = changes.filter((change) => !telling(change));
  return (
    <>
      {done && (
        <p>
          Between them{" "}
          <strong>
            {done.doneDays} of {done.plannedDays} days
          </strong>{" "}
          were practised, {done.doneReps} of {done.plannedReps} reps.
        </p>
      )}
      <div className="grid gap-8 lg:grid-cols-[1.35fr_1fr]">
        <section aria-labelledby="said" className="grid content-start gap-2">
          <h2 id="said">What can be said</h2>
          {changes.length === 0 && (
            <p className="text-soft">
              {sameTwice(compared)
                ? "What was measured the same way at both moments lay where it is wanted already: it cannot get better."
                : "Nothing was measured at both moments in the same way."}
            </p>
          )}
          <ul>
            {inOrder(changes.filter(telling)).map((change) => (
              <Said key={change.id} change={change} />
            ))}
          </ul>
          {untold.length > 0 && (
            <details>
              <summary className="text-soft w-fit cursor-pointer py-1">
                {untold.length} more, without a change that could be told
              </summary>
              <ul>
                {untold.map((change) => (
                  <Said key={change.id} change={change} />
                ))}
              </ul>
            </details>
          )}
          {notes.map((note) => (
            <p key={note} className="text-soft text-sm">
              {note}
            </p>
          ))}
        </section>
        <div className="grid content-start gap-6">
          <TallyBars then={first.shots} now={second.shots} catalogue={catalogue} />
          {children}
        </div>
      </div>
      <Feet first={first} second={second} catalogue={catalogue} hand={hand} />
    </>
  );
}

function Said({ change }: { change: Change }) {
  const strong = told(change.comparison);
  return (
    <li className="border-line grid grid-cols-[12rem_1fr] gap-3 border-b py-1.5">
      <span className={change.concerns ? "font-semibold" : ""}>{change.label}</span>
      <span className={strong ? "" : "text-soft"}>{change.said}</span>
    </li>
  );
}

/** The soles of both moments at one checkpoint, and the load through the swing. */
function Feet({
  first,
  second,
  catalogue,
  hand,
}: {
  first: Compare["first"];
  second: Compare["second"];
  catalogue: Catalogue;
  hand: Hand;
}) {
  const shares = (moment: Compare["first"]) =>
    catalogue.checkpoints.flatMap((c) => {
      const reading = moment.readings.find((r) => r.id === "trail-share" && r.at === c.id);
      return reading ? [{ at: c.id, value: reading.value, source: reading.source }] : [];
    });
  const both = shares(second).filter((s) => shares(first).some((f) => f.at === s.at));
  const [at, setAt] = useState<string>();
  const shown = both.find((s) => s.at === at)?.at ?? both.find((s) => s.at === "top")?.at ?? both[0]?.at;
  const school = catalogue.schools.find((s) => s.id === second.school) ?? catalogue.schools[0]!;
  if (!shown) return <p className="text-soft">The load under the feet was not read at both moments.</p>;
  return (
    <section aria-labelledby="feet" className="grid gap-3">
      <div className="flex flex-wrap items-center gap-4">
        <h2 id="feet">The feet</h2>
        <Choice
          compact
          label="Checkpoint"
          value={shown}
          options={both.map((s) => ({
            id: s.at,
            label: catalogue.checkpoints.find((c) => c.id === s.at)?.brief ?? s.at,
          }))}
          onChange={setAt}
        />
      </div>
      <div className="grid gap-6 sm:grid-cols-2 lg:grid-cols-[13rem_13rem_1fr]">
        {[first, second].map((moment) => {
          const of = (id: string) => moment.readings.find((r) => r.id === id && r.at === shown)?.value;
          return (
            <figure key={moment.lessonId + moment.moment} className="max-w-72">
              <figcaption className="font-semibold">
                {longDay(moment.heldOn)}, {moment.moment}
              </figcaption>
              <Soles
                hand={hand}
                trailShare={of("trail-share") ?? 50}
                trailToe={of("trail-toe")}
                leadToe={of("lead-toe")}
                trailOuter={of("trail-outer")}
                leadOuter={of("lead-outer")}
                corridor={school.corridors[shown]}
              />
            </figure>
          );
        })}
        <div className="sm:col-span-2 lg:col-span-1">
          <p className="font-semibold">Load under the trail foot, from address to finish</p>
          <ShareStrip
            checkpoints={catalogue.checkpoints}
            corridors={school.corridors}
            readings={shares(second)}
            earlier={shares(first)}
          />
          <p className="text-soft text-sm">
            Dashed band: {school.label.toLowerCase()}. Open points: {shortDay(first.heldOn)}, {first.moment}.
          </p>
        </div>
      </div>
    </section>
  );
}
