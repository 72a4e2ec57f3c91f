import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Hand } from "@/api/types";
import type { Today } from "./today";

/** So many movements are fetched ahead, the next days' first: a week of most plans. */
const MOST = 16;

/** Fetches the movements of the coming days while there is a signal. */
export function useMotionsAhead(today: Today, catalogue: Catalogue) {
  const client = useQueryClient();
  const days = today.plan?.plan.days;
  useEffect(() => {
    const wanted = new Map<string, ReturnType<typeof queries.motion>>();
    for (const day of days ?? []) {
      if (day.date < today.date) continue;
      for (const { drill, rung, condition } of day.blocks) {
        if (wanted.size >= MOST || !catalogue.drills[drill]?.moving) continue;
        const query = queries.motion(drill, rung, today.handedness as Hand, {
          halfStep: condition ?? undefined,
        });
        wanted.set(String(query.queryKey[1]), query);
      }
    }
    wanted.forEach((query) => void client.prefetchQuery(query));
  }, [client, days, today.date, today.handedness, catalogue]);
}
