import { newId } from "@/api/newId";
import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { queries } from "@/api/queries";
import { useSaver } from "@/api/useSaver";
import type { Draft, Outbox } from "./outbox";
import { sendSession } from "./sending";
import { asidesOf, firstTen } from "./asides";
import { emptyEntry, type Entry, type RunBlock } from "./session";
import type { Today } from "./today";
import { useMailbag } from "./useOutbox";

/**
 * Today's session: kept on the phone with every rep and sent whole to the server, so that sending it again does no
 * harm.
 */
export function useSession(today: Today, gapDays: number) {
  const client = useQueryClient();
  const bag = useMailbag();
  const { outbox } = bag;
  const [draft, setDraft] = useState<Draft>(() => begin(today, outbox, gapDays));
  const send = useCallback(
    async ({ id }: Draft) => {
      const stored = await sendSession(bag, id);
      void client.invalidateQueries({ queryKey: queries.me().queryKey, refetchType: "none" });
      return stored;
    },
    [client, bag],
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
  /** With a block on top of the day's own; gives its place. */
  const add = (block: RunBlock) => {
    const next = { ...draft, planned: [...draft.planned, block] };
    setDraft(next);
    outbox.keep(next);
    return draft.planned.length;
  };
  return {
    entry: draft.entry,
    blocks: draft.planned,
    change,
    add,
    unsent: state !== "saved",
    error,
    stored: answer,
  };
}

/** What the phone kept, else what the server has, else a fresh one. */
function begin(today: Today, outbox: Outbox, gapDays: number): Draft {
  const planId = today.plan!.id;
  const planned: RunBlock[] = today.day!.blocks;
  const kept = outbox.load(planId, today.date);
  if (kept) return kept;
  if (today.session) {
    const { id, day, blocks, feel, pain, balls, note, finished, edition } = today.session;
    return {
      id,
      planned: [...planned, ...asidesOf(blocks, planned)],
      entry: { planId, day, blocks, feel, pain, balls, note, finished, edition },
    };
  }
  const first = firstTen(planned, today.practised, today.date, today.stopped, gapDays);
  return {
    id: newId(),
    planned: first ? [...planned, first] : planned,
    entry: emptyEntry(planId, today.date),
  };
}
