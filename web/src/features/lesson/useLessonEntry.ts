import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useReducer } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Rules } from "@/api/merge";
import type { Lesson, LessonEntry } from "@/api/types";
import { useMeanwhile } from "@/api/useMeanwhile";
import { useSaver } from "@/api/useSaver";
import { beginHistory, historyReducer } from "./history";

/** Balls counted in two windows are all counted, and both notes stay. */
const RULES: Rules = {
  counts: (path) => path.includes(".shots."),
  texts: (path) => path === "note",
};

/** With the diagnosis on it, or as it is stored after somebody else's change. */
type Entered = Lesson | { entry: LessonEntry; version: number };

const PARTS: Record<string, string> = {
  signs: "signs",
  note: "the note",
  approach: "the approach",
  "before.shots": "balls before",
  "before.readings": "readings before",
  "after.shots": "balls after",
  "after.readings": "readings after",
};

function inWords(path: string): string {
  return PARTS[path] ?? PARTS[path.split(".")[0] ?? ""] ?? path;
}

/** What is entered in a lesson, saved as it is entered; the server's answer brings the diagnosis on it. */
export function useLessonEntry(lesson: Lesson) {
  const client = useQueryClient();
  const [history, dispatch] = useReducer(historyReducer, lesson.entry, beginHistory);
  const { save, changed, seen } = useMeanwhile({ value: lesson.entry, version: lesson.version }, RULES);
  const send = useCallback(
    async (entry: LessonEntry) => {
      const answer = await save<Entered>(
        (version) => api.put<Lesson>(`/api/lessons/${lesson.id}/entry`, entry, version),
        (stored) => ({ value: stored.entry, version: stored.version }),
        (change) => dispatch({ type: "rebase", change }),
      );
      if (!answer || !("diagnosis" in answer)) return;
      client.setQueryData(queries.lesson(lesson.id).queryKey, answer);
      // What is computed from the entry is asked for again where it is shown.
      for (const part of ["progress", "feet", "hip-line"])
        void client.invalidateQueries({ queryKey: ["lessons", lesson.id, part] });
    },
    [client, lesson.id, save],
  );
  const { state, error } = useSaver(history.now, send);

  return {
    entry: history.now,
    change: useCallback(
      (change: (entry: LessonEntry) => LessonEntry) => dispatch({ type: "change", change }),
      [],
    ),
    undo: useCallback(() => dispatch({ type: "undo" }), []),
    redo: useCallback(() => dispatch({ type: "redo" }), []),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    state,
    error,
    meanwhile: [...new Set(changed.map(inWords))],
    seenMeanwhile: seen,
  };
}
