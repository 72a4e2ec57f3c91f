import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { Link } from "react-router";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Approach, Catalogue } from "@/api/types";
import { type Kept, useMeanwhile } from "@/api/useMeanwhile";
import { useSaver } from "@/api/useSaver";
import { AskBeforeLeaving } from "@/ui/AskBeforeLeaving";
import { Meanwhile } from "@/ui/Meanwhile";
import { Failed, Loading } from "@/ui/Notice";
import { SaveStatus } from "@/ui/SaveStatus";
import { MyDrills } from "../drill/MyDrills";
import { inWords } from "./meanwhile";
import { Questions } from "./Questions";
import { RepeatabilityTable } from "./RepeatabilityTable";
import { Title } from "@/ui/Title";

/** How the coach teaches, and how well the coach reads; saved as it is changed. */
export default function ApproachPage() {
  const approach = useQuery({ ...queries.approach(), refetchOnWindowFocus: false });
  const catalogue = useCatalogue("right");
  if (approach.isPending || catalogue.isPending) return <Loading />;
  if (approach.isError) return <Failed error={approach.error} again={() => approach.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  return <ApproachForm stored={approach.data} catalogue={catalogue.data} />;
}

function keptApproach(approach: Approach): Kept<Approach> {
  return { value: { ...approach, version: 0 }, version: approach.version };
}

function ApproachForm({ stored, catalogue }: { stored: Approach; catalogue: Catalogue }) {
  const [approach, setApproach] = useState(keptApproach(stored).value);
  const client = useQueryClient();
  const { save, changed, seen } = useMeanwhile(keptApproach(stored));
  const send = useCallback(
    async (next: Approach) => {
      const answer = await save<Approach>(
        next,
        (version) =>
          api.put<Approach>(
            "/api/approach",
            {
              answers: next.answers,
              repeatability: next.repeatability
                .filter((s) => s.sem !== s.assumed)
                .map(({ quantity, source, sem }) => ({ quantity, source, sem })),
            },
            { seen: version },
          ),
        keptApproach,
        setApproach,
      );
      if (!answer) return;
      client.setQueryData(queries.approach().queryKey, answer);
      void client.invalidateQueries({ queryKey: ["lessons"] });
      // The golfer loads as the coach teaches.
      void client.invalidateQueries({ queryKey: ["motions"] });
    },
    [client, save],
  );
  const { state, error } = useSaver(approach, send);
  return (
    <div className="grid gap-8">
      <header className="flex flex-wrap items-baseline gap-x-6">
        <Title>How you teach</Title>
        <h1>How you teach</h1>
        <Link to="/proposals" className="text-soft">
          How proposals went
        </Link>
        <p className="text-soft">
          New lessons begin with these answers; a student can have others. They decide what counts as a fault,
          which drills are offered and what the texts say.
        </p>
        <span className="ml-auto">
          <SaveStatus state={state} error={error} />
          <AskBeforeLeaving when={state !== "saved"} />
        </span>
      </header>
      <Meanwhile changed={inWords(changed, catalogue)} onSeen={seen} />
      <Questions
        catalogue={catalogue}
        answers={approach.answers}
        onAnswer={(question, answer) =>
          answer && setApproach({ ...approach, answers: { ...approach.answers, [question]: answer } })
        }
      />
      <MyDrills catalogue={catalogue} />
      <section aria-labelledby="reads" className="border-line border-t pt-5">
        <h2 id="reads" className="mb-2">
          How well you read
        </h2>
        <RepeatabilityTable
          sems={approach.repeatability}
          catalogue={catalogue}
          onChange={(sem) =>
            setApproach({
              ...approach,
              repeatability: approach.repeatability.map((s) =>
                s.quantity === sem.quantity && s.source === sem.source ? sem : s,
              ),
            })
          }
        />
      </section>
    </div>
  );
}
