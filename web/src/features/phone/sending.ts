import { api, Problem } from "@/api/client";
import type { Wire } from "@/api/types";
import type { Letters } from "./letters";
import type { Outbox } from "./outbox";

export type Stored = Wire["StoredPractice"];

/** All that a phone keeps of one account until the server has it. */
export type Mailbag = { outbox: Outbox; letters: Letters };

/** What the server last said of each session. */
const answers = new Map<string, Stored>();
let line: Promise<unknown> = Promise.resolve();

/**
 * Sends what waits, one after the other in the order of the days, whoever asks for it. Ends at the first that cannot go:
 * without a signal, a server or a sign-in all of it waits. What is wrong with one does not hold up the others.
 */
export function sendWaiting(bag: Mailbag): Promise<boolean> {
  const next = line.then(() => sendEach(bag));
  line = next.catch(() => undefined);
  return next;
}

async function sendEach({ outbox, letters }: Mailbag): Promise<boolean> {
  let sent = false;
  for (const one of outbox.kept().filter((k) => k.state === "unsent")) {
    const refusal = await orRefusal(async () => {
      const stored = await api.put<Stored>(`/api/me/practice/${one.id}`, one.entry, { byItself: true });
      answers.set(one.id, stored);
    });
    if (refusal) outbox.markRefused(one, refusal);
    else outbox.markSent(one);
    sent ||= !refusal;
  }
  for (const one of letters.kept().filter((l) => !l.refusal)) {
    const refusal = await orRefusal(() =>
      api.put<void>(`/api/me/${one.to}/${one.id}`, one.body, { byItself: true }),
    );
    if (refusal) letters.markRefused(one, refusal);
    else letters.markSent(one);
    sent ||= !refusal;
  }
  return sent;
}

/** Sends, and says why it was not taken; what may pass another time is thrown. */
async function orRefusal(send: () => Promise<void>): Promise<string | null> {
  try {
    await send();
    return null;
  } catch (failure) {
    const status = failure instanceof Problem ? failure.status : 0;
    if (status < 400 || status === 401 || status === 403 || status >= 500) throw failure;
    return (failure as Error).message;
  }
}

/** Sends what waits, this session among it. */
export async function sendSession(bag: Mailbag, id: string): Promise<Stored | null> {
  await sendWaiting(bag);
  const refused = bag.outbox.kept().find((k) => k.id === id && k.state === "refused");
  if (refused) throw new Problem(422, refused.refusal ?? "");
  return answers.get(id) ?? null;
}
