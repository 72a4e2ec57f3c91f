import type { Wire } from "@/api/types";

export type RoundEntry = Wire["RoundEntry"];
export type CueEntry = Wire["CueEntry"];
export type SelfCheckEntry = Wire["SelfCheckEntry"];

/**
 * Something told once, beside practice.
 *
 * @property what in words, for the note that it waits
 */
export type Letter = { id: string; what: string; day: string } & (
  | { to: "rounds"; body: RoundEntry }
  | { to: "self-checks"; body: SelfCheckEntry }
  /** By the drill's id. */
  | { to: "cues"; body: CueEntry }
);

export type KeptLetter = Letter & { refusal?: string };

/** What one account has told on this phone and the server does not have yet. */
export class Letters {
  private readonly key: string;

  constructor(account: string) {
    this.key = `hodegon-letters:${account}`;
  }

  kept(): KeptLetter[] {
    try {
      const all = JSON.parse(localStorage.getItem(this.key) ?? "[]") as unknown;
      return Array.isArray(all) ? (all as KeptLetter[]) : [];
    } catch {
      return [];
    }
  }

  write(letter: Letter) {
    this.store([...this.kept().filter((l) => l.id !== letter.id), letter]);
  }

  /** The server has it as it is; one that was changed meanwhile stays. */
  markSent(letter: Letter) {
    this.store(this.kept().filter((l) => l.id !== letter.id || l.body.edition !== letter.body.edition));
  }

  markRefused(letter: Letter, refusal: string) {
    this.store(this.kept().map((l) => (l.id === letter.id ? { ...l, refusal } : l)));
  }

  tryAgain(id: string) {
    this.store(this.kept().map((l) => (l.id === id ? { ...l, refusal: undefined } : l)));
  }

  /** Forgets one that was refused. */
  putAway(id: string) {
    this.store(this.kept().filter((l) => l.id !== id || !l.refusal));
  }

  private store(all: KeptLetter[]) {
    localStorage.setItem(this.key, JSON.stringify(all));
  }
}
