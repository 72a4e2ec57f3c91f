import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Lesson, StoredPlan } from "@/api/types";
import type { Terms } from "./edits";

/** Drafting with terms: each change is laid by the server at once; an undo is the earlier terms again. */
export function usePlanTerms(lesson: Lesson, plan: StoredPlan | undefined) {
  const client = useQueryClient();
  const [past, setPast] = useState<Terms[]>([]);
  const [future, setFuture] = useState<Terms[]>([]);
  const keep = (stored: StoredPlan) => {
    client.setQueryData(queries.lessonPlan(lesson.id).queryKey, stored);
    client.removeQueries({ queryKey: queries.offers(lesson.id).queryKey });
    client.invalidateQueries({ queryKey: ["students"] });
  };
  const draft = useMutation({
    mutationFn: (terms: Terms) => api.put<StoredPlan>(`/api/lessons/${lesson.id}/plan`, terms),
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
      if (plan) setPast((p) => [...p, plan.terms]);
      setFuture([]);
      keep(stored);
    },
  });
  const now = plan?.terms;
  const lay = (terms: Terms, onLaid: () => void) => draft.mutate(terms, { onSuccess: onLaid });

  return {
    apply: (terms: Terms) => {
      if (terms === now) return;
      lay(terms, () => {
        if (now) setPast((p) => [...p, now]);
        setFuture([]);
      });
    },
    undo: () => {
      const before = past.at(-1);
      if (!before || !now) return;
      lay(before, () => {
        setPast((p) => p.slice(0, -1));
        setFuture((f) => [now, ...f]);
      });
    },
    redo: () => {
      const next = future[0];
      if (!next || !now) return;
      lay(next, () => {
        setFuture((f) => f.slice(1));
        setPast((p) => [...p, now]);
      });
    },
    canUndo: past.length > 0 && !draft.isPending,
    canRedo: future.length > 0 && !draft.isPending,
    /** Drafts anew from a kept plan. */
    startFrom: (template: string) => start.mutate(template),
    handOver: (id: string) => assign.mutate(id),
    busy: draft.isPending || assign.isPending || start.isPending,
    error: draft.error ?? assign.error ?? start.error,
  };
}

export type PlanWork = ReturnType<typeof usePlanTerms>;
