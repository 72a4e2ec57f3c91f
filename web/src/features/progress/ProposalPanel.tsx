import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Progress, Wire } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { Failed } from "@/ui/Notice";

type Proposal = NonNullable<Progress["proposal"]>;
type Answer = { answer: "taken" | "changed" | "refused"; instead: string | null; reason: string };

/** What is proposed, with its reasons; taken, changed or refused by the coach. */
export function ProposalPanel({
  lessonId,
  proposal,
  worked,
  catalogue,
}: {
  lessonId: string;
  proposal: Proposal;
  worked: string[];
  catalogue: Catalogue;
}) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [asking, setAsking] = useState<"changed" | "refused">();
  const changed = () =>
    Promise.all([
      client.invalidateQueries({ queryKey: ["lessons", lessonId] }),
      client.invalidateQueries({ queryKey: ["proposals"] }),
    ]);
  const answer = useMutation({
    mutationFn: (given: Answer) =>
      api.put<Wire["AnswerView"]>(`/api/lessons/${lessonId}/proposal`, {
        proposed: proposal.kind.id,
        ...given,
      }),
    // Refused because something else was measured meanwhile: show what is proposed now.
    onError: changed,
    onSuccess: async (kept) => {
      setAsking(undefined);
      client.removeQueries({ queryKey: queries.lessonPlan(lessonId).queryKey });
      await changed();
      if (kept.done?.plan) navigate(`/lessons/${lessonId}/plan`);
    },
  });
  const takeBack = useMutation({
    mutationFn: () => api.delete(`/api/lessons/${lessonId}/proposal`),
    onSuccess: changed,
  });
  const busy = answer.isPending || takeBack.isPending;
  const means = proposal.answer ? proposal.answer.done?.means : proposal.kind.means;
  return (
    <section aria-labelledby="proposal" className="border-strong-line grid gap-2 border-l-4 pl-4">
      <h2 id="proposal">Proposed: {proposal.kind.label.toLowerCase()}</h2>
      <ul className="text-soft">
        {proposal.because.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      {means && <p>{means}</p>}
      {(proposal.answer?.done ?? proposal.kind).id === "look-again" && (
        <LookAlikes worked={worked} catalogue={catalogue} />
      )}
      {answer.isError && <Failed error={answer.error} />}
      {proposal.answer ? (
        <Answered
          answer={proposal.answer}
          lessonId={lessonId}
          onAgain={() => takeBack.mutate()}
          busy={busy}
        />
      ) : asking ? (
        <Otherwise
          asking={asking}
          others={proposal.others}
          busy={busy}
          onAnswer={(instead, reason) => answer.mutate({ answer: asking, instead, reason })}
          onBack={() => setAsking(undefined)}
        />
      ) : (
        <div className="flex flex-wrap gap-2">
          <Button
            weight="main"
            disabled={busy}
            onClick={() => answer.mutate({ answer: "taken", instead: null, reason: "" })}
          >
            {proposal.kind.plan ? "Take it and plan" : "Take it"}
          </Button>
          <Button onClick={() => setAsking("changed")}>Something else</Button>
          <Button weight="quiet" onClick={() => setAsking("refused")}>
            Not now
          </Button>
          <ButtonLink weight="quiet" to="/proposals">
            How proposals went
          </ButtonLink>
        </div>
      )}
    </section>
  );
}

function LookAlikes({ worked, catalogue }: { worked: string[]; catalogue: Catalogue }) {
  return (
    <dl className="grid gap-1">
      {catalogue.faults
        .filter((fault) => worked.includes(fault.id))
        .map((fault) => (
          <div key={fault.id}>
            <dt className="font-semibold">{fault.label}</dt>
            {fault.lookAlike && <dd>Easily mistaken: {fault.lookAlike}</dd>}
            {fault.trap && <dd>Makes it worse: {fault.trap}</dd>}
          </div>
        ))}
    </dl>
  );
}

function Otherwise({
  asking,
  others,
  busy,
  onAnswer,
  onBack,
}: {
  asking: "changed" | "refused";
  others: Proposal["others"];
  busy: boolean;
  onAnswer: (instead: string | null, reason: string) => void;
  onBack: () => void;
}) {
  const [instead, setInstead] = useState("");
  const [reason, setReason] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onAnswer(asking === "changed" ? instead : null, reason);
  };
  return (
    <form onSubmit={submit} className="grid justify-items-start gap-2">
      {asking === "changed" && (
        <label className="grid gap-1">
          <span className="font-semibold">Instead</span>
          <select required value={instead} onChange={(e) => setInstead(e.target.value)}>
            <option value="">Choose</option>
            {others.map((other) => (
              <option key={other.id} value={other.id}>
                {other.label}
              </option>
            ))}
          </select>
          <span className="text-soft text-sm">{others.find((o) => o.id === instead)?.means}</span>
        </label>
      )}
      <label className="grid w-full gap-1">
        <span className="font-semibold">Why</span>
        <input
          required
          maxLength={500}
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          placeholder="kept with the record"
        />
      </label>
      <div className="flex gap-2">
        <Button type="submit" weight="main" disabled={busy}>
          {asking === "changed" ? "Do this instead" : "Leave it"}
        </Button>
        <Button weight="quiet" onClick={onBack}>
          Back
        </Button>
      </div>
    </form>
  );
}

/** Where what leads to no plan is done. */
const WHERE: Record<string, { view: string; label: string }> = {
  "look-again": { view: "why", label: "To the diagnosis" },
  "look-further": { view: "before", label: "To what to look at next" },
  measure: { view: "before", label: "To the balls" },
};

function Answered({
  answer,
  lessonId,
  onAgain,
  busy,
}: {
  answer: NonNullable<Proposal["answer"]>;
  lessonId: string;
  onAgain: () => void;
  busy: boolean;
}) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <p role="status">
        <strong>{said(answer)}</strong>
        {answer.reason && <span className="text-soft"> – {answer.reason}</span>}
      </p>
      {answer.done?.plan && <Link to={`/lessons/${lessonId}/plan`}>To the plan</Link>}
      {answer.done && WHERE[answer.done.id] && (
        <Link to={`/lessons/${lessonId}?view=${WHERE[answer.done.id]!.view}`}>
          {WHERE[answer.done.id]!.label}
        </Link>
      )}
      <Button weight="quiet" disabled={busy} onClick={onAgain}>
        Decide again
      </Button>
      <Link to="/proposals" className="text-soft text-sm">
        How proposals went
      </Link>
    </div>
  );
}

/** What was done with a proposal, in a few words. */
export function said(answer: NonNullable<Proposal["answer"]>): string {
  if (answer.answer === "taken") return `Taken: ${answer.proposed.label.toLowerCase()}.`;
  if (answer.answer === "changed") return `Instead: ${answer.done?.label.toLowerCase()}.`;
  return `Not done: ${answer.proposed.label.toLowerCase()}.`;
}
