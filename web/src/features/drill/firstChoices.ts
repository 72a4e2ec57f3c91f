import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Drill, Wire } from "@/api/types";

export type FirstChoice = Wire["FirstChoice"];

/** Most drills in one order; the core holds the same rule. */
const MOST = 5;

export const orderOn = (choices: FirstChoice[], fault: string, rung: string) =>
  choices.find((c) => c.fault === fault && c.rung === rung)?.drills ?? [];

/** In front of the others; the last goes where there would be too many. */
export const putFirst = (order: string[], drill: string) =>
  [drill, ...order.filter((d) => d !== drill)].slice(0, MOST);

/** After the others, if there is room. */
export const putLast = (order: string[], drill: string) =>
  order.includes(drill) || order.length >= MOST ? order : [...order, drill];

/** One place further to the front. */
export function raised(order: string[], drill: string): string[] {
  const at = order.indexOf(drill);
  if (at < 1) return order;
  return [...order.slice(0, at - 1), drill, order[at - 1]!, ...order.slice(at + 1)];
}

/** Whether it can be a choice there at all. */
export const isDoneOn = (drill: Drill | undefined, fault: string, rung: string) =>
  drill !== undefined && rung in drill.variations && [...drill.main, ...drill.helps].includes(fault);

/** The drills that could be chosen there, those for this fault before those that help with it. */
export function possibleOn(catalogue: Catalogue, fault: string, rung: string): Drill[] {
  const all = Object.values(catalogue.drills).filter((d) => isDoneOn(d, fault, rung));
  return [...all.filter((d) => d.main.includes(fault)), ...all.filter((d) => !d.main.includes(fault))];
}

/** The drills that a coach uses first, and how they are changed; an undo is the orders before. */
export function useFirstChoices() {
  const client = useQueryClient();
  const { queryKey } = queries.firstChoices();
  const found = useQuery(queries.firstChoices());
  const [past, setPast] = useState<FirstChoice[][]>([]);
  const choices = found.data ?? [];
  const put = useMutation({
    mutationFn: async (orders: FirstChoice[]) => {
      for (const { fault, rung, drills } of orders) {
        client.setQueryData(
          queryKey,
          await api.put<FirstChoice[]>(`/api/first-choices/${fault}/${rung}`, { drills }),
        );
      }
    },
    // Whatever was not stored is not shown as if it were.
    onError: () => client.invalidateQueries({ queryKey }),
  });
  return {
    found,
    choices,
    /** Stores these orders, one after the other. */
    set: (orders: FirstChoice[]) => {
      const before = orders.map((o) => ({ ...o, drills: orderOn(choices, o.fault, o.rung) }));
      put.mutate(orders, { onSuccess: () => setPast((p) => [...p, before]) });
    },
    undo: () => {
      const before = past.at(-1);
      if (before) put.mutate(before, { onSuccess: () => setPast((p) => p.slice(0, -1)) });
    },
    canUndo: past.length > 0 && !put.isPending,
    busy: put.isPending,
    error: put.error,
  };
}
