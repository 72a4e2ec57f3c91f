import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useState } from "react";
import { api, Problem } from "@/api/client";
import { type Draft, Drafts, type Left } from "@/api/drafts";
import { queries } from "@/api/queries";
import type { Lesson, LessonEntry } from "@/api/types";
import { newSave, together } from "@/api/useMeanwhile";
import { type Entered, RULES, storedEntry } from "./stored";

const EVERY_MS = 5_000;
const TRIES = 3;

/** What whoever is signed in entered in lessons and could not store yet. */
export function useOwnDrafts(): Drafts<LessonEntry> {
  const account = useQuery(queries.session()).data?.account?.email ?? "";
  return useMemo(() => new Drafts<LessonEntry>("lesson", account), [account]);
}

/** A lesson's entry with what windows kept of it and did not get through. */
export function withKept(lesson: Entered, kept: Left<LessonEntry>[]): LessonEntry {
  const stored = storedEntry(lesson);
  return kept.reduce(
    (value, { draft }) => together(draft, draft.mine, { ...stored, value }, RULES),
    stored.value,
  );
}

/** Sends what no window cares for any more, put together with what was stored since; gives whether anything went. */
export async function sendLeft(drafts: Drafts<LessonEntry>): Promise<boolean> {
  let sent = false;
  for (const { key, draft } of drafts.left().filter((one) => !one.draft.refusal)) {
    try {
      await sendDraft(drafts, key, draft);
      drafts.forget(key);
      sent = true;
    } catch (failure) {
      const problem = failure instanceof Problem ? failure : null;
      const final = problem && problem.status >= 400 && problem.status < 500 && problem.status !== 401;
      // Without a signal or a server all of it waits; what is refused does not hold up the others.
      if (!final) throw failure;
      drafts.refuse(key, problem.message);
    }
  }
  return sent;
}

async function sendDraft(drafts: Drafts<LessonEntry>, key: string, begun: Draft<LessonEntry>) {
  let draft = begun;
  for (let left = TRIES; ; left--) {
    const save = newSave();
    draft = { ...draft, tried: [...draft.tried, { save, value: draft.mine }] };
    drafts.replace(key, draft);
    try {
      const how = { seen: draft.base.version, save, byItself: true };
      return await api.put<Lesson>(`/api/lessons/${draft.id}/entry`, draft.mine, how);
    } catch (failure) {
      if (!(failure instanceof Problem) || !failure.isStale || left === 1) throw failure;
      const now = storedEntry(failure.current as Entered);
      draft = { ...draft, mine: together(draft, draft.mine, now, RULES), base: now, tried: [] };
    }
  }
}

/** Sends what was left behind now, when a signal comes and from time to time. Gives what still waits. */
export function useLeftBehind() {
  const client = useQueryClient();
  const drafts = useOwnDrafts();
  const [waiting, setWaiting] = useState(() => drafts.left());
  useEffect(() => {
    let over = false;
    const flush = async () => {
      const sent = await sendLeft(drafts).catch(() => false);
      if (over) return;
      setWaiting(drafts.left());
      if (sent) void client.invalidateQueries({ queryKey: ["lessons"] });
    };
    void flush();
    const timer = setInterval(() => void flush(), EVERY_MS);
    window.addEventListener("online", flush);
    return () => {
      over = true;
      clearInterval(timer);
      window.removeEventListener("online", flush);
    };
  }, [client, drafts]);
  const forget = useCallback(
    (key: string) => {
      drafts.forget(key);
      setWaiting(drafts.left());
    },
    [drafts],
  );
  return { waiting, forget };
}
