import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";

type Check = Wire["LessonCheckView"];

/** Ten scored balls, or reps, before any cue, for the rung on which the last plan left the student; one tap enters them. */
export function StartCheck({ lessonId, catalogue }: { lessonId: string; catalogue: Catalogue }) {
  const client = useQueryClient();
  const checks = useQuery(queries.lessonChecks(lessonId));
  const keep = (now: Check[]) => {
    client.setQueryData(queries.lessonChecks(lessonId).queryKey, now);
    void client.invalidateQueries({ queryKey: ["students"] });
  };
  const score = useMutation({
    mutationFn: ({ fault, good }: { fault: string; good: number }) =>
      api.put<Check[]>(`/api/lessons/${lessonId}/checks/${fault}`, { good }),
    onSuccess: keep,
  });
  const takeBack = useMutation({
    mutationFn: (fault: string) => api.delete<Check[]>(`/api/lessons/${lessonId}/checks/${fault}`),
    onSuccess: keep,
  });
  if (!checks.data || checks.data.length === 0) return null;
  const busy = score.isPending || takeBack.isPending;
  return (
    <section aria-labelledby="start-check">
      <h2 id="start-check">Ten to begin with</h2>
      <p className="text-soft text-sm">
        Before any cue. They count as a check of the rung on which the last plan left off.
      </p>
      {checks.data.map((check) => {
        const rung = catalogue.rungs.find((r) => r.id === check.rung);
        return (
          <div key={check.fault} className="mt-2 grid gap-1">
            <p>
              <strong>{rung?.label}</strong>, {catalogue.drills[check.drill]?.name}: how many of ten{" "}
              {rung && rung.balls > 0 ? "balls" : "reps"} were good?
            </p>
            <div className="flex flex-wrap gap-1" role="group" aria-label={`${rung?.label}: good of ten`}>
              {Array.from({ length: 11 }, (_, good) => (
                <Button
                  key={good}
                  className="min-w-11 px-2!"
                  weight={check.good === good ? "main" : "plain"}
                  aria-pressed={check.good === good}
                  disabled={busy}
                  onClick={() =>
                    check.good === good
                      ? takeBack.mutate(check.fault)
                      : score.mutate({ fault: check.fault, good })
                  }
                >
                  {good}
                </Button>
              ))}
            </div>
            {check.said && <p role="status">{check.said}</p>}
          </div>
        );
      })}
      {(score.error ?? takeBack.error) && <Failed error={(score.error ?? takeBack.error)!} />}
    </section>
  );
}
