import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { queries } from "@/api/queries";
import { useSaver } from "@/api/useSaver";
import type { Draft, Outbox } from "./outbox";
import { sendSession } from "./sending";
import { emptyEntry, type Entry, newId } from "./session";
import type { Today } from "./today";
import { useOwnOutbox } from "./useOutbox";

/**
 * Today's session: kept on the phone with every rep and sent whole to the server, so that sending it again does no
 * harm.
 */
export function useSession(today: Today) {
  const client = useQueryClient();
  const outbox = useOwnOutbox();
  const [draft, setDraft] = useState<Draft>(() => begin(today, outbox));
  const send = useCallback(
    async ({ id }: Draft) => {
      const stored = await sendSession(outbox, id);
      void client.invalidateQueries({ queryKey: queries.me().queryKey, refetchType: "none" });
      return stored;
    },
    [client, outbox],
  );
  // What was kept without a signal is sent when the session is taken up again, not only with the next rep.
  const [waits] = useState(() => outbox.isUnsent(draft.id));
  const { state, error, answer } = useSaver(draft, send, waits);
  const change = useCallback(
    (next: (entry: Entry) => Entry) =>
      setDraft((was) => {
        const draft = { ...was, entry: { ...next(was.entry), edition: was.entry.edition + 1 } };
        outbox.keep(draft);
        return draft;
      }),
    [outbox],
  );
  return {
    entry: draft.entry,
    blocks: draft.planned,
    change,
    unsent: state !== "saved",
    error,
    stored: answer,
  };
}

/** What the phone kept, else what the server has, else a fresh one. */
function begin(today: Today, outbox: Outbox): Draft {
  const planId = today.plan!.id;
  const planned = today.day!.blocks;
  const kept = outbox.load(planId, today.date);
  if (kept) return kept;
  if (today.session) {
    const { id, day, blocks, feel, pain, balls, note, finished, edition } = today.session;
    return { id, planned, entry: { planId, day, blocks, feel, pain, balls, note, finished, edition } };
  }
  return { id: newId(), planned, entry: emptyEntry(planId, today.date) };
}
