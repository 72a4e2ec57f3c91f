import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { api, Problem } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Drill, Wire } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { Failed, Loading, Note } from "@/ui/Notice";
import { rightOf } from "./notice";
import { wrongAndRight } from "./instruction";
import { DrillDiagram } from "./DrillDiagram";
import { DrillGolfer } from "../golfer/DrillGolfer";
import { OwnWords } from "./OwnWords";
import { ShareDrill } from "./SharedDrills";
import { Title } from "@/ui/Title";
import { HowItWorked } from "./WhatWorked";

/** One drill: what it is for, how it goes, what comes before and after, and how it has gone. */
export default function DrillPage() {
  const id = useParams().id as string;
  const [params] = useSearchParams();
  const hand = params.get("hand") === "left" ? "left" : "right";
  const catalogue = useCatalogue(hand);
  if (catalogue.isPending) return <Loading />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const drill = catalogue.data.drills[id];
  if (!drill) {
    return (
      <p className="text-soft">
        There is no such drill. <Link to="/drills">All drills</Link>
      </p>
    );
  }
  const texts: [string, string][] = [
    ["Set-up", drill.setUp],
    ["Do", drill.action],
    ["Feel", drill.feel],
    ["A good rep", drill.good],
    ["Usual mistake", wrongAndRight(drill)],
    ...(drill.onPurpose ? [["Wrong on purpose", drill.onPurpose] as [string, string]] : []),
    ["Easier", drill.easier],
    ["Harder", drill.harder],
  ];
  return (
    <article className="grid gap-6 lg:grid-cols-[1fr_20rem] lg:gap-12">
      <div className="grid content-start gap-5">
        <header>
          <p>
            <Link to="/drills">Drills</Link>
          </p>
          <Title>{drill.name}</Title>
          <h1>{drill.name}</h1>
          <DrillActions
            id={id}
            own={catalogue.data.ownDrills.includes(id)}
            after={Object.values(catalogue.data.drills).filter((d) => d.after.includes(id))}
          />
          <p className="text-soft">
            In mind: <strong className="text-ink">{drill.cue}</strong>
          </p>
        </header>
        <div className={drill.moving ? "grid gap-6 xl:grid-cols-[minmax(0,29rem)_minmax(0,1fr)]" : ""}>
          {drill.moving && <DrillGolfer drill={drill} catalogue={catalogue.data} hand={hand} />}
          <dl
            className={`grid content-start gap-x-6 gap-y-2 ${drill.moving ? "" : "sm:grid-cols-[8rem_1fr]"}`}
          >
            {texts.map(([term, text]) => (
              <div key={term} className={drill.moving ? "" : "contents"}>
                <dt className="text-soft">{term}</dt>
                <dd>{text}</dd>
              </div>
            ))}
          </dl>
        </div>
        {drill.caution && <Note tone="warn">{drill.caution}</Note>}
        <section aria-labelledby="rungs">
          <h2 id="rungs">On each rung</h2>
          <dl className="grid gap-x-6 gap-y-1 sm:grid-cols-[8rem_1fr]">
            {catalogue.data.rungs
              .filter((r) => r.id in drill.variations)
              .map((r) => (
                <div key={r.id} className="contents">
                  <dt className="text-soft">{r.label}</dt>
                  <dd>{drill.variations[r.id]}</dd>
                </div>
              ))}
          </dl>
        </section>
      </div>
      <aside aria-label="About this drill" className="grid content-start gap-5">
        <div className="max-w-64">
          <DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />
        </div>
        <Facts drill={drill} catalogue={catalogue.data} />
        <OwnWords key={id} drill={id} />
        <Record id={id} />
        {drill.main.map((fault) => (
          <section key={fault} aria-labelledby={`for-${fault}`} className="border-line border-t pt-4">
            <h2 id={`for-${fault}`}>
              <Link to={`/faults/${fault}`}>
                For {catalogue.data.faults.find((f) => f.id === fault)?.label.toLowerCase() ?? fault}
              </Link>
            </h2>
            <HowItWorked fault={fault} drill={id} />
          </section>
        ))}
      </aside>
    </article>
  );
}

/** Copying any drill; changing and removing one's own. */
function DrillActions({ id, own, after }: { id: string; own: boolean; after: Drill[] }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const remove = useMutation({
    mutationFn: (anyway: boolean) => api.delete(`/api/drills/own/${id}?anyway=${anyway}`),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ["catalogue"] });
      navigate("/drills");
    },
  });
  return (
    <div className="my-2 flex flex-wrap gap-3">
      <ButtonLink to={`/drills/new?copy=${id}`}>Copy as my own</ButtonLink>
      {own && (
        <>
          <ButtonLink to={`/drills/${id}/edit`}>Change</ButtonLink>
          <Button disabled={remove.isPending} onClick={() => remove.mutate(false)}>
            Remove
          </Button>
          <ShareDrill id={id} />
        </>
      )}
      {remove.isError && (
        <Note tone="warn">
          <p role="alert">{remove.error.message}</p>
          {!remove.variables && remove.error instanceof Problem && after.length > 0 && (
            <Button disabled={remove.isPending} onClick={() => remove.mutate(true)}>
              Remove it all the same
            </Button>
          )}
        </Note>
      )}
    </div>
  );
}

function Facts({ drill, catalogue }: { drill: Drill; catalogue: Catalogue }) {
  const name = (list: { id: string; label: string }[]) => (id: string) =>
    list.find((x) => x.id === id)?.label ?? id;
  const said = (ids: string[], list: { id: string; label: string }[]) =>
    ids.map(name(list)).join(", ").toLowerCase() || undefined;
  const choices = catalogue.questions.flatMap((q) => q.choices);
  const after = Object.values(catalogue.drills).filter((d) => d.after.includes(drill.id));
  const everyFault = drill.main.length === 0 && drill.helps.length > 10;
  const facts: [string, string | undefined][] = [
    ["Works directly on", said(drill.main, catalogue.faults)],
    ["Helps with", everyFault ? "every fault of the movement" : said(drill.helps, catalogue.faults)],
    ["Tells by", said(drill.feedback, catalogue.feedback)],
    [
      "Asked after each set",
      drill.notice ? `${drill.notice.question} Good: ${rightOf(drill.notice, catalogue.scales)}.` : undefined,
    ],
    ["Where", said(drill.places, catalogue.places)],
    ["Kit", said(drill.kit, catalogue.equipment) ?? "nothing"],
    ["Goes with", said(drill.needs, choices)],
    ["Only in", said(drill.schools, catalogue.schools)],
    ["Makes worse", said(drill.clashes, catalogue.faults)],
    ["Not with a flagged", said(drill.neverWith, catalogue.joints)],
    ["At half volume with a flagged", said(drill.careWith, catalogue.joints)],
    ["Not in", said(drill.notIn, catalogue.shoes)],
    ["Only on", said(drill.onlyOn, catalogue.grounds)],
    ["First choice for", said(drill.firstFor, [...choices, ...catalogue.schools, ...catalogue.signs])],
  ];
  return (
    <dl className="grid gap-1">
      {facts
        .filter(([, value]) => value)
        .map(([term, value]) => (
          <div key={term}>
            <dt className="text-soft text-sm">{term}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      <HalfSteps drill={drill} catalogue={catalogue} />
      <DrillLinks
        term="A set of these, in this order"
        drills={drill.moves.map((id) => catalogue.drills[id]).filter((d) => !!d)}
      />
      <DrillLinks
        term="Goes together with"
        drills={drill.combines.map((id) => catalogue.drills[id]).filter((d) => !!d)}
      />
      <DrillLinks
        term="Comes after"
        drills={drill.after.map((id) => catalogue.drills[id]).filter((d) => !!d)}
      />
      <DrillLinks term="Leads to" drills={after} />
    </dl>
  );
}

/** What changes from day to day within each rung. */
function HalfSteps({ drill, catalogue }: { drill: Drill; catalogue: Catalogue }) {
  return (
    <div>
      <dt className="text-soft text-sm">Half-steps</dt>
      {catalogue.rungs
        .filter((r) => (drill.halfSteps[r.id] ?? []).length > 0)
        .map((r) => (
          <dd key={r.id}>
            {r.label}, {drill.speeds[r.id]} % speed:{" "}
            {drill.halfSteps[r.id]!.map((s) => s.label.toLowerCase()).join(", ")}
          </dd>
        ))}
    </div>
  );
}

function DrillLinks({ term, drills }: { term: string; drills: Drill[] }) {
  if (drills.length === 0) return null;
  return (
    <div>
      <dt className="text-soft text-sm">{term}</dt>
      <dd>
        {drills.map((d) => (
          <Link key={d.id} to={`/drills/${d.id}`} className="mr-3">
            {d.name}
          </Link>
        ))}
      </dd>
    </div>
  );
}

/** Fewer students are an anecdote. */
const FEW = 5;

function Record({ id }: { id: string }) {
  const record = useQuery(queries.drillRecord(id));
  if (!record.data) return null;
  const { house, students, sessions, passed, setsToPass, stepBacks, pains, reps } = record.data;
  return (
    <section aria-labelledby="record" className="border-line border-t pt-4">
      <h2 id="record">{house ? "With the house's students" : "With your students"}</h2>
      {students === 0 ? (
        <p className="text-soft">None has done it yet.</p>
      ) : (
        <>
          <p>
            {count(students, "student")}, {count(sessions, "session")}. {count(passed, "gate")} passed
            {passed > 0 && `, after ${setsToPass.toFixed(1)} check sets each`}.{" "}
            {count(stepBacks, "step back", "steps back")},{" "}
            {pains === 0 ? "no pain" : `pain ${count(pains, "time")}`}.
          </p>
          {reps && <RepsToAGate reps={reps} />}
          {students < FEW && <p className="text-soft text-sm">Too few students to judge the drill by.</p>}
        </>
      )}
    </section>
  );
}

/** Reps to a gate, with any drill and with this one: two marks, one with its interval, on one line. */
function RepsToAGate({ reps }: { reps: NonNullable<Wire["DrillRecordView"]["reps"]> }) {
  const { assumed, learnt, low, high } = reps;
  const end = 1.1 * Math.max(high, assumed);
  const at = (value: number) => `${(100 * value) / end}%`;
  const said = (value: number) => String(Math.round(value / 5) * 5);
  return (
    <figure className="mt-1 max-w-md">
      <figcaption>
        Half of such students are through a gate within{" "}
        <strong>
          {said(learnt)} reps, {said(low)} to {said(high)}
        </strong>{" "}
        ●; with any drill within {said(assumed)} ○.
      </figcaption>
      <svg aria-hidden className="mt-1 h-6 w-full">
        <line x1="0" x2="100%" y1="12" y2="12" className="stroke-line" />
        <line x1={at(low)} x2={at(high)} y1="12" y2="12" strokeWidth="5" className="stroke-strong-line" />
        <circle cx={at(learnt)} cy="12" r="6" className="fill-ink" />
        <circle cx={at(assumed)} cy="12" r="5" strokeWidth="2" className="fill-sheet stroke-ink" />
      </svg>
    </figure>
  );
}

function count(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`;
}
