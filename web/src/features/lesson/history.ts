import type { LessonEntry } from "@/api/types";

const DEPTH = 200;

export type History = { past: LessonEntry[]; now: LessonEntry; future: LessonEntry[] };

export type HistoryAction =
  | { type: "change"; change: (entry: LessonEntry) => LessonEntry }
  /** What others entered is part of every state, so that an undo takes back only one's own. */
  | { type: "rebase"; change: (entry: LessonEntry) => LessonEntry }
  | { type: "undo" }
  | { type: "redo" };

export function beginHistory(entry: LessonEntry): History {
  return { past: [], now: entry, future: [] };
}

/** Every state of the entry is kept, so that an undo is an earlier state again. */
export function historyReducer({ past, now, future }: History, action: HistoryAction): History {
  switch (action.type) {
    case "change": {
      const next = action.change(now);
      return next === now
        ? { past, now, future }
        : { past: [...past, now].slice(-DEPTH), now: next, future: [] };
    }
    case "rebase":
      return {
        past: past.map(action.change),
        now: action.change(now),
        future: future.map(action.change),
      };
    case "undo": {
      const previous = past.at(-1);
      return previous
        ? { past: past.slice(0, -1), now: previous, future: [now, ...future] }
        : { past, now, future };
    }
    case "redo": {
      const [next, ...rest] = future;
      return next ? { past: [...past, now], now: next, future: rest } : { past, now, future };
    }
  }
}
