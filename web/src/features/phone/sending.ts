import { api, Problem } from "@/api/client";
import type { Wire } from "@/api/types";
import type { Outbox } from "./outbox";

export type Stored = Wire["StoredPractice"];

/** What the server last said of each session. */
const answers = new Map<string, Stored>();
let line: Promise<unknown> = Promise.resolve();

/**
 * Sends what waits, one after the other in the order of the days, whoever asks for it. Ends at the first that cannot go:
 * without a signal, a server or a sign-in all of it waits. What is wrong with one does not hold up the others.
 */
export function sendWaiting(outbox: Outbox): Promise<boolean> {
  const next = line.then(() => sendEach(outbox));
  line = next.catch(() => undefined);
  return next;
}

async function sendEach(outbox: Outbox): Promise<boolean> {
  let sent = false;
  for (const one of outbox.kept().filter((k) => k.state === "unsent")) {
    try {
      answers.set(one.id, await api.put<Stored>(`/api/me/practice/${one.id}`, one.entry, { byItself: true }));
      outbox.markSent(one);
      sent = true;
    } catch (failure) {
      const status = failure instanceof Problem ? failure.status : 0;
      if (status < 400 || status === 401 || status === 403 || status >= 500) throw failure;
      outbox.markRefused(one, (failure as Error).message);
    }
  }
  return sent;
}

/** Sends what waits, this session among it. */
export async function sendSession(outbox: Outbox, id: string): Promise<Stored | null> {
  await sendWaiting(outbox);
  const refused = outbox.kept().find((k) => k.id === id && k.state === "refused");
  if (refused) throw new Problem(422, refused.refusal ?? "");
  return answers.get(id) ?? null;
}
