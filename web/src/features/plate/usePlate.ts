import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Lesson, MomentName } from "@/api/types";

/** What the server tells of the coach's plate. */
export type PlateState = {
  connected: boolean;
  plate: string | null;
  rate: number;
  lost: number;
  listening: string | null;
  stage: string | null;
  problem: string | null;
};

export type LoadsNow = {
  trailShare: number;
  leadFront: number | null;
  leadOuter: number | null;
  trailFront: number | null;
  trailOuter: number | null;
};

/** The lesson's diagnosis and readings follow its swings; what is being entered stays as it is. */
export function useSwingsChanged(lessonId: string) {
  const client = useQueryClient();
  return async () => {
    void client.invalidateQueries({ queryKey: queries.swings(lessonId).queryKey });
    const fresh = await api.get<Lesson>(`/api/lessons/${lessonId}`);
    client.setQueryData(queries.lesson(lessonId).queryKey, (was: Lesson | undefined) =>
      was ? { ...was, diagnosis: fresh.diagnosis, measured: fresh.measured } : fresh,
    );
    for (const part of ["progress", "feet"])
      void client.invalidateQueries({ queryKey: ["lessons", lessonId, part] });
  };
}

/** Listens to the coach's plate for one moment of a lesson, as long as the page shows it. */
export function usePlate(lessonId: string, stage: MomentName) {
  const [state, setState] = useState<PlateState>();
  const [loads, setLoads] = useState<LoadsNow>();
  const [lost, setLost] = useState(false);
  const changed = useSwingsChanged(lessonId);
  const [heard, setHeard] = useState(0);

  useEffect(() => {
    const events = new EventSource(`/api/lessons/${lessonId}/listen?stage=${stage}`);
    events.addEventListener("plate", (e) => {
      setLost(false);
      setState(JSON.parse(e.data));
      // What was heard while nobody listened here.
      setHeard((n) => n + 1);
    });
    events.addEventListener("loads", (e) => setLoads(JSON.parse(e.data)));
    events.addEventListener("swings", () => setHeard((n) => n + 1));
    events.onerror = () => setLost(true);
    return () => events.close();
  }, [lessonId, stage]);

  useEffect(() => {
    if (heard > 0) void changed();
    // Only what was heard counts, not that the page was drawn again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [heard]);

  return { state, loads: state?.connected ? loads : undefined, lost };
}
