import type { Position } from "./useMeanwhile";

/** Something entered that is not stored yet. `label` says what it is; `refusal` why the server does not take it. */
export type Draft<T> = Position<T> & { id: string; mine: T; label: string; at: number; refusal?: string };

/** What is kept, and where. */
export type Left<T> = { key: string; draft: Draft<T> };

/** A page that is open sends its own; one that has not been heard of for so long is gone. */
const GONE_AFTER_MS = 180_000;

const TAB = Math.random().toString(36).slice(2);

/** What one account entered on this machine and could not store yet, one of each window. */
export class Drafts<T> {
  private readonly prefix: string;

  constructor(kind: string, account: string) {
    this.prefix = `hodegon-${kind}:${account}:`;
  }

  /** Keeps what this window entered, if the machine has room for it. */
  keep(draft: Omit<Draft<T>, "at">) {
    this.write(this.key(draft.id), { ...draft, at: Date.now() });
  }

  /** Whether something of this window is kept. */
  holds(id: string): boolean {
    return localStorage.getItem(this.key(id)) !== null;
  }

  /** Stored: nothing of this window is kept. */
  drop(id: string) {
    localStorage.removeItem(this.key(id));
  }

  /** The window leaves; what it kept may be sent by any other. */
  leave(id: string) {
    const own = this.read(this.key(id));
    if (own) this.write(this.key(id), { ...own, at: 0 });
  }

  /** What any window kept of this one. */
  of(id: string): Left<T>[] {
    return this.all().filter((one) => one.draft.id === id);
  }

  /** What was kept by other windows is in what this one keeps now. */
  takeOver(taken: Left<T>[]) {
    for (const { key, draft } of taken) if (key !== this.key(draft.id)) localStorage.removeItem(key);
  }

  /** What no open window cares for. */
  left(): Left<T>[] {
    return this.all().filter((one) => Date.now() - one.draft.at > GONE_AFTER_MS);
  }

  replace(key: string, draft: Draft<T>) {
    this.write(key, draft);
  }

  /** The server does not take it. */
  refuse(key: string, refusal: string) {
    const draft = this.read(key);
    if (draft) this.write(key, { ...draft, refusal });
  }

  forget(key: string) {
    localStorage.removeItem(key);
  }

  private all(): Left<T>[] {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(this.prefix))
      .flatMap((key) => {
        const draft = this.read(key);
        return draft ? [{ key, draft }] : [];
      });
  }

  private key(id: string) {
    return `${this.prefix}${id}:${TAB}`;
  }

  private read(key: string): Draft<T> | null {
    try {
      const draft = JSON.parse(localStorage.getItem(key) ?? "null") as Draft<T> | null;
      return draft && typeof draft.id === "string" && draft.base && Array.isArray(draft.tried) ? draft : null;
    } catch {
      return null;
    }
  }

  private write(key: string, draft: Draft<T>) {
    try {
      localStorage.setItem(key, JSON.stringify(draft));
    } catch {
      // No room: an older state of it would be worse than none.
      localStorage.removeItem(key);
    }
  }
}
