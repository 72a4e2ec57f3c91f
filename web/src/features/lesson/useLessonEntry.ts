import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useReducer } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Lesson, LessonEntry } from "@/api/types";
import { useSaver } from "@/api/useSaver";
import { beginHistory, historyReducer } from "./history";

/** What is entered in a lesson, saved as it is entered; the server's answer brings the diagnosis on it. */
export function useLessonEntry(lesson: Lesson) {
  const client = useQueryClient();
  const [history, dispatch] = useReducer(historyReducer, lesson.entry, beginHistory);
  const send = useCallback(
    async (entry: LessonEntry) => {
      const answer = await api.put<Lesson>(`/api/lessons/${lesson.id}/entry`, entry);
      client.setQueryData(queries.lesson(lesson.id).queryKey, answer);
      // What is computed from the entry is asked for again where it is shown.
      for (const part of ["progress", "feet", "hip-line"])
        void client.invalidateQueries({ queryKey: ["lessons", lesson.id, part] });
    },
    [client, lesson.id],
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
  };
}
