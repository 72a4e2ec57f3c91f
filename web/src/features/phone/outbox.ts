import type { Entry } from "./session";

/** A practice session as the phone has it. */
export type Draft = { id: string; entry: Entry };

/** @property state whether the server has it as it is; a refused one is kept and not sent by itself again */
export type Kept = Draft & { state: "unsent" | "sent" | "refused"; refusal?: string };

const KEY = "hodegon-outbox";

/** Everything kept on this phone, oldest first. */
export function kept(): Kept[] {
  try {
    const all = JSON.parse(localStorage.getItem(KEY) ?? "[]") as unknown;
    return Array.isArray(all) ? (all as Kept[]) : [];
  } catch {
    return [];
  }
}

function store(all: Kept[]) {
  localStorage.setItem(KEY, JSON.stringify(all));
}

/** The session of that plan and day, sent or not. */
export function loadDraft(planId: string, day: string): Draft | null {
  const found = kept()
    .filter((k) => k.entry.planId === planId && k.entry.day === day)
    .at(-1);
  return found ? { id: found.id, entry: found.entry } : null;
}

/** Keeps a session as it is now, to be sent; what other days have sent is no longer needed here. */
export function keepDraft(draft: Draft) {
  const others = kept().filter((k) => k.id !== draft.id && k.state !== "sent");
  store([...others, { ...draft, state: "unsent" }]);
}

/** The server has taken this version; a newer one stays to be sent. */
export function markSent(draft: Draft) {
  mark(draft, { state: "sent" });
}

export function markRefused(draft: Draft, refusal: string) {
  mark(draft, { state: "refused", refusal });
}

function mark(draft: Draft, as: Pick<Kept, "state" | "refusal">) {
  const same = (k: Kept) =>
    k.id === draft.id && JSON.stringify(k.entry) === JSON.stringify(draft.entry) && k.state === "unsent";
  store(kept().map((k) => (same(k) ? { ...k, ...as } : k)));
}

export function isUnsent(id: string): boolean {
  return kept().some((k) => k.id === id && k.state === "unsent");
}
