import { OUTBOXES } from "@/api/keeping";
import type { Entry, RunBlock } from "./session";

/**
 * A practice session as the phone has it.
 *
 * @property planned the day's blocks as they were when it was begun, and what came on top: it is ended as it was begun,
 *   whatever the plan becomes meanwhile
 */
export type Draft = { id: string; entry: Entry; planned: RunBlock[] };

/** @property state whether the server has it as it is; a refused one is kept and not sent by itself again */
export type Kept = Draft & { state: "unsent" | "sent" | "refused"; refusal?: string };

/** What one account's practice waits on this phone. */
export class Outbox {
  private readonly key: string;

  constructor(account: string) {
    this.key = OUTBOXES + account;
  }

  /** Everything kept, in the order of the days. */
  kept(): Kept[] {
    try {
      const all = JSON.parse(localStorage.getItem(this.key) ?? "[]") as unknown;
      return Array.isArray(all) ? (all as Kept[]) : [];
    } catch {
      return [];
    }
  }

  /** The session of that plan and day, sent or not. */
  load(planId: string, day: string): Draft | null {
    const found = this.kept()
      .filter((k) => k.entry.planId === planId && k.entry.day === day)
      .at(-1);
    return found ? { id: found.id, entry: found.entry, planned: found.planned } : null;
  }

  /** Keeps a session as it is now, to be sent; what other days have sent is no longer needed here. */
  keep(draft: Draft) {
    const others = this.kept().filter((k) => k.id !== draft.id && k.state !== "sent");
    const all = [...others, { ...draft, state: "unsent" as const }];
    this.store(all.sort((a, b) => a.entry.day.localeCompare(b.entry.day)));
  }

  /** The server has taken this version; a newer one stays to be sent. */
  markSent(draft: Draft) {
    this.mark(draft, { state: "sent" });
  }

  markRefused(draft: Draft, refusal: string) {
    this.mark(draft, { state: "refused", refusal });
  }

  /** A session that was refused is to be sent again. */
  tryAgain(id: string) {
    this.store(
      this.kept().map((k) =>
        k.id === id && k.state === "refused" ? { ...k, state: "unsent" as const, refusal: undefined } : k,
      ),
    );
  }

  /** Forgets a session that was refused; one that may still go stays. */
  putAway(id: string) {
    this.store(this.kept().filter((k) => k.id !== id || k.state !== "refused"));
  }

  private mark(draft: Draft, as: Pick<Kept, "state" | "refusal">) {
    const same = (k: Kept) =>
      k.id === draft.id && k.entry.edition === draft.entry.edition && k.state === "unsent";
    this.store(this.kept().map((k) => (same(k) ? { ...k, ...as } : k)));
  }

  isUnsent(id: string): boolean {
    return this.kept().some((k) => k.id === id && k.state === "unsent");
  }

  private store(all: Kept[]) {
    localStorage.setItem(this.key, JSON.stringify(all));
  }
}
