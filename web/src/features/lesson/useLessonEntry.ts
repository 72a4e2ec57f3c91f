import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useReducer, useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import { same } from "@/api/merge";
import type { Lesson, LessonEntry } from "@/api/types";
import { useMeanwhile } from "@/api/useMeanwhile";
import { useSaver } from "@/api/useSaver";
import { longDay } from "@/calendar/dates";
import { beginHistory, historyReducer } from "./history";
import { type Entered, RULES, storedEntry } from "./stored";
import { useOwnDrafts, withKept } from "./unsent";

const PARTS: Record<string, string> = {
  signs: "signs",
  note: "the note",
  tries: "what was tried",
  approach: "the approach",
  "before.shots": "balls before",
  "before.readings": "readings before",
  "after.shots": "balls after",
  "after.readings": "readings after",
  "before.balls": "how far balls came before",
  "after.balls": "how far balls came after",
};

function inWords(path: string): string {
  return PARTS[path] ?? PARTS[path.split(".")[0] ?? ""] ?? path;
}

/**
 * What is entered in a lesson, saved as it is entered; the server's answer brings the diagnosis on it. What is not
 * stored is kept on this machine, and taken up when the lesson is opened again.
 */
export function useLessonEntry(lesson: Lesson) {
  const client = useQueryClient();
  const drafts = useOwnDrafts();
  const [taken] = useState(() => drafts.of(lesson.id));
  const [begun] = useState(() => withKept(lesson, taken));
  const [history, dispatch] = useReducer(historyReducer, begun, beginHistory);
  const { save, changed, seen, position } = useMeanwhile(storedEntry(lesson), RULES);
  const send = useCallback(
    async (entry: LessonEntry) => {
      const answer = await save<Entered>(
        entry,
        (seen, save) => api.put<Lesson>(`/api/lessons/${lesson.id}/entry`, entry, { seen, save }),
        storedEntry,
        (change) => dispatch({ type: "rebase", change }),
      );
      if (!answer || !("diagnosis" in answer)) return;
      client.setQueryData(queries.lesson(lesson.id).queryKey, answer);
      // What is computed from the entry is asked for again where it is shown.
      for (const part of ["progress", "feet", "hip-line", "tried", "climb"])
        void client.invalidateQueries({ queryKey: ["lessons", lesson.id, part] });
    },
    [client, lesson.id, save],
  );
  const { state, error } = useSaver(history.now, send, !same(begun, lesson.entry));

  const { id, studentName, heldOn } = lesson;
  const label = `${studentName}, lesson of ${longDay(heldOn)}`;
  useEffect(() => {
    if (state === "saved") drafts.drop(id);
    else drafts.keep({ id, label, mine: history.now, ...position() });
    drafts.takeOver(taken);
  }, [drafts, taken, id, label, state, error, history.now, position]);
  useEffect(() => {
    const leave = () => drafts.leave(id);
    window.addEventListener("pagehide", leave);
    return () => {
      window.removeEventListener("pagehide", leave);
      leave();
    };
  }, [drafts, id]);

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
    /** The lesson is gone, and what was not stored of it with it. */
    discard: useCallback(() => drafts.drop(id), [drafts, id]),
    /** Whether what is not stored is at least kept on this machine. */
    isKept: useCallback(() => drafts.holds(id), [drafts, id]),
    meanwhile: [...new Set(changed.map(inWords))],
    seenMeanwhile: seen,
  };
}
