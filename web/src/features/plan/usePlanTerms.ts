import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, Problem } from "@/api/client";
import { differences, merge } from "@/api/merge";
import { queries } from "@/api/queries";
import type { Lesson, StoredPlan } from "@/api/types";
import type { Terms } from "./edits";

const PARTS: Record<string, string> = {
  from: "the first day",
  nextLesson: "the next lesson",
  week: "the week",
  firstFaultOnly: "whether one fault waits",
  "edits.locked": "locked blocks",
  "edits.dropped": "dropped blocks",
  "edits.chosen": "chosen drills",
  "edits.skipped": "rungs left out",
  "edits.shortSets": "short sets",
  "edits.ahead": "half-steps that are due",
  "edits.easier": "what comes easier after a check",
  "edits.instead": "drills that took over after checks",
};

function inWords(path: string): string {
  return PARTS[path] ?? PARTS[path.split(".")[0] ?? ""] ?? "the plan's days";
}

/** What was there before a change; of a plan that the student has, the change made a draft. */
type Before = { terms: Terms; handedOver: boolean };

/** Drafting with terms: each change is laid by the server at once; an undo is the earlier terms again. */
export function usePlanTerms(lesson: Lesson, plan: StoredPlan | undefined) {
  const client = useQueryClient();
  const [past, setPast] = useState<Before[]>([]);
  const [future, setFuture] = useState<Terms[]>([]);
  const [meanwhile, setMeanwhile] = useState<string[]>([]);
  const keep = (stored: StoredPlan) => {
    client.setQueryData(queries.lessonPlan(lesson.id).queryKey, stored);
    client.removeQueries({ queryKey: queries.offers(lesson.id).queryKey });
    client.invalidateQueries({ queryKey: ["students"] });
  };
  const draft = useMutation({
    mutationFn: async (terms: Terms) => {
      const put = (what: Terms, version: number) =>
        api.put<StoredPlan>(`/api/lessons/${lesson.id}/plan`, what, { seen: version });
      try {
        return await put(terms, plan?.version ?? 0);
      } catch (failure) {
        if (!(failure instanceof Problem) || !failure.isStale) throw failure;
        const now = failure.current as StoredPlan;
        keep(now);
        const base = plan?.terms ?? now.terms;
        setMeanwhile(differences(base, now.terms, 2).map(inWords));
        return put(merge(base, terms, now.terms), now.version);
      }
    },
    onSuccess: keep,
  });
  const assign = useMutation({
    mutationFn: (id: string) => api.post<StoredPlan>(`/api/plans/${id}/assignment`),
    onSuccess: keep,
  });
  const start = useMutation({
    mutationFn: (template: string) =>
      api.put<StoredPlan>(`/api/lessons/${lesson.id}/plan/template/${template}`, undefined),
    onSuccess: (stored) => {
      if (plan) setPast((p) => [...p, before(plan)]);
      setFuture([]);
      keep(stored);
    },
  });
  const again = useMutation({
    mutationFn: (id: string) => api.post<StoredPlan>(`/api/plans/${id}/laid-again`, {}),
    onSuccess: keep,
  });
  const discard = useMutation({
    mutationFn: () => api.delete<void>(`/api/lessons/${lesson.id}/plan`),
    onSuccess: () => {
      client.removeQueries({ queryKey: queries.offers(lesson.id).queryKey });
      void client.invalidateQueries({ queryKey: ["students"] });
    },
  });
  const now = plan?.terms;
  const lay = (terms: Terms, onLaid: () => void) => draft.mutate(terms, { onSuccess: onLaid });

  return {
    /** Lays by these terms; `onLaid` only once that is done, not where it was refused. */
    apply: (terms: Terms, onLaid?: () => void) => {
      if (terms === now) return;
      lay(terms, () => {
        if (plan) setPast((p) => [...p, before(plan)]);
        setFuture([]);
        onLaid?.();
      });
    },
    undo: () => {
      const was = past.at(-1);
      if (!was || !now) return;
      const undone = () => {
        setPast((p) => p.slice(0, -1));
        setFuture((f) => [now, ...f]);
      };
      // Before the first change there was no draft, but the plan that the student has.
      if (was.handedOver) {
        discard.mutate(undefined, {
          onSuccess: async () => {
            await client.invalidateQueries({ queryKey: queries.lessonPlan(lesson.id).queryKey });
            undone();
          },
        });
      } else lay(was.terms, undone);
    },
    redo: () => {
      const next = future[0];
      if (!next || !now) return;
      lay(next, () => {
        setFuture((f) => f.slice(1));
        if (plan) setPast((p) => [...p, before(plan)]);
      });
    },
    canUndo: past.length > 0 && !draft.isPending,
    canRedo: future.length > 0 && !draft.isPending,
    /** Drafts anew from a kept plan. */
    startFrom: (template: string) => start.mutate(template),
    handOver: (id: string) => assign.mutate(id),
    /** Gives up the draft as a whole. */
    throwAway: () =>
      discard.mutate(undefined, {
        onSuccess: () => {
          setPast([]);
          setFuture([]);
          // The plan that the student has, or none.
          void client.resetQueries({ queryKey: queries.lessonPlan(lesson.id).queryKey });
        },
      }),
    /** Lays the days left of a plan that the student has again, without what is stopped, and hands them over. */
    layAgain: (id: string) => again.mutate(id),
    busy: [draft, assign, start, again, discard].some((m) => m.isPending),
    /** What was changed elsewhere and laid together with the last change. */
    meanwhile,
    seenMeanwhile: () => setMeanwhile([]),
    error: draft.error ?? assign.error ?? start.error ?? again.error ?? discard.error,
  };
}

const before = ({ terms, assigned }: StoredPlan): Before => ({ terms, handedOver: assigned });

export type PlanWork = ReturnType<typeof usePlanTerms>;
