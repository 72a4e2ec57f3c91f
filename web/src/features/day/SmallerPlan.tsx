import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed, Loading, Note } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";

/** A plan that was just made smaller. */
export type Eased = { planId: string; student: string; minutes: number; minutesThen: number };

function useAsking(planId: string, onDone: () => void) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (smaller: boolean) => api.post<void>(`/api/plans/${planId}/laid-again`, { smaller }),
    onSuccess: async () => {
      for (const key of ["day", "students", "lessons", "plans"])
        void client.invalidateQueries({ queryKey: [key] });
      onDone();
    },
  });
}

/** Says what a smaller plan would ask for, and makes it. */
export function MakeSmaller({
  planId,
  student,
  onEased,
}: {
  planId: string;
  student: string;
  onEased: (eased: Eased) => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Make the plan smaller</Button>
      <Sheet title={`A smaller plan for ${student}`} open={open} onOpenChange={setOpen}>
        <Preview
          planId={planId}
          onEased={(view) => {
            setOpen(false);
            onEased({ planId, student, minutes: view.minutes, minutesThen: view.minutesThen });
          }}
        />
      </Sheet>
    </>
  );
}

function Preview({ planId, onEased }: { planId: string; onEased: (view: Wire["SmallerView"]) => void }) {
  const view = useQuery(queries.smaller(planId));
  const ask = useAsking(planId, () => view.data && onEased(view.data));
  if (view.isPending) return <Loading />;
  if (view.isError) return <Failed error={view.error} again={() => view.refetch()} />;
  const { minutes, minutesThen, reps, repsThen, changes } = view.data;
  if (changes.length === 0) return <p>Nothing would change: the days left ask for less than that already.</p>;
  return (
    <>
      <p>
        From today on about{" "}
        <strong>
          {minutesThen} instead of {minutes} minutes
        </strong>{" "}
        a day, {repsThen} instead of {reps} reps until the next lesson. The student sees it at once.
      </p>
      <details>
        <summary className="cursor-pointer py-2">Day by day</summary>
        <ul className="text-soft text-sm">
          {changes.map((change) => (
            <li key={change}>{change}</li>
          ))}
        </ul>
      </details>
      {ask.isError && <Failed error={ask.error} />}
      <Button weight="main" disabled={ask.isPending} onClick={() => ask.mutate(true)}>
        Make it smaller
      </Button>
    </>
  );
}

/** What was just done, and the way back. */
export function EasedNote({ eased, onUndone }: { eased: Eased; onUndone: () => void }) {
  const ask = useAsking(eased.planId, onUndone);
  return (
    <Note>
      <p role="status" className="flex flex-wrap items-center gap-x-3">
        <span>
          {eased.student}'s plan asks for {eased.minutesThen} instead of {eased.minutes} minutes a day now.
        </span>
        <Button weight="quiet" className="px-2!" disabled={ask.isPending} onClick={() => ask.mutate(false)}>
          Undo
        </Button>
      </p>
      {ask.isError && <Failed error={ask.error} />}
    </Note>
  );
}
