import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { api } from "@/api/client";
import type { Today, Wire } from "@/api/types";
import { useSaver } from "@/api/useSaver";
import { type Draft, isUnsent, keepDraft, loadDraft, markSent } from "./outbox";
import { emptyEntry, type Entry, newId } from "./session";

/**
 * Today's session: kept on the phone with every rep and sent whole to the server, so that sending it again does no
 * harm.
 */
export function useSession(today: Today) {
  const client = useQueryClient();
  const [draft, setDraft] = useState<Draft>(() => begin(today));
  const send = useCallback(
    async ({ id, entry }: Draft) => {
      const stored = await api.put<Wire["StoredPractice"]>(`/api/me/practice/${id}`, entry);
      markSent({ id, entry });
      void client.invalidateQueries({ queryKey: ["today"], refetchType: "none" });
      return stored;
    },
    [client],
  );
  // What was kept without a signal is sent when the session is taken up again, not only with the next rep.
  const [waits] = useState(() => isUnsent(draft.id));
  const { state, error, answer } = useSaver(draft, send, waits);
  const change = useCallback(
    (next: (entry: Entry) => Entry) =>
      setDraft((was) => {
        const draft = { id: was.id, entry: next(was.entry) };
        keepDraft(draft);
        return draft;
      }),
    [],
  );
  return { entry: draft.entry, change, unsent: state !== "saved", error, stored: answer };
}

/** What the phone kept, else what the server has, else a fresh one. */
function begin(today: Today): Draft {
  const planId = today.plan!.id;
  const kept = loadDraft(planId, today.date);
  if (kept) return kept;
  if (today.session) {
    const { id, blocks, feel, pain, balls, note, finished } = today.session;
    return {
      id,
      entry: {
        planId,
        day: today.date,
        blocks: blocks.map((b) => ({ block: b.block, marks: b.marks })),
        feel,
        pain,
        balls,
        note,
        finished,
      },
    };
  }
  return { id: newId(), entry: emptyEntry(planId, today.date) };
}
