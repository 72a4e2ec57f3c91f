import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";

type Handover = Wire["Handover"];

/** Students offered to this coach and by this coach, each with what settles it. */
export function Handovers({ list }: { list: Handover[] }) {
  const academy = useQuery(queries.academy());
  const me = academy.data?.coaches.find((c) => c.you)?.id;
  return (
    <section aria-labelledby="handovers">
      <h2 id="handovers" className="mb-1">
        Changing hands
      </h2>
      <ul className="max-w-3xl">
        {list.map((h) => (
          <Offer key={h.studentId} handover={h} toMe={h.toId === me} />
        ))}
      </ul>
    </section>
  );
}

function Offer({ handover, toMe }: { handover: Handover; toMe: boolean }) {
  const client = useQueryClient();
  const path = `/api/students/${handover.studentId}/handover`;
  const settle = useMutation({
    mutationFn: (accept: boolean) => (accept ? api.post<void>(`${path}/acceptance`) : api.delete<void>(path)),
    onSuccess: () => client.invalidateQueries(),
  });
  return (
    <li className="border-line flex flex-wrap items-center gap-x-4 gap-y-1 border-b py-2">
      <span className="min-w-0 flex-1">
        <strong>{handover.student}</strong>{" "}
        {toMe ? (
          <>is offered to you by {handover.from}.</>
        ) : (
          <>is offered to {handover.to}, who has not answered.</>
        )}
        {handover.words && <span className="text-soft block">“{handover.words}”</span>}
      </span>
      {toMe && (
        <Button weight="main" disabled={settle.isPending} onClick={() => settle.mutate(true)}>
          Take over
        </Button>
      )}
      <Button weight="quiet" disabled={settle.isPending} onClick={() => settle.mutate(false)}>
        {toMe ? "Decline" : "Take back"}
      </Button>
      {settle.isError && <Failed error={settle.error} />}
    </li>
  );
}

/** On the coach's day: what was offered and waits for an answer. */
export function OfferedToMe() {
  const academy = useQuery(queries.academy());
  const me = academy.data?.coaches.find((c) => c.you)?.id;
  const list = academy.data?.handovers.filter((h) => h.toId === me) ?? [];
  return list.length > 0 ? <Handovers list={list} /> : null;
}
