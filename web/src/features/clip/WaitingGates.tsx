import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Catalogue, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";
import { signGate } from "../practice/signGate";

/** So many of the last checks are told. */
const CHECKS = 3;

/** Gates that wait for the coach's word, beside what the word may rest on; nothing where none does. */
export function WaitingGates({ studentId, catalogue }: { studentId: string; catalogue: Catalogue }) {
  const client = useQueryClient();
  const practice = useQuery(queries.practice(studentId, 0));
  const sign = useMutation({
    mutationFn: (rung: Wire["RungStanding"]) => signGate(studentId, rung),
    onSuccess: () => {
      for (const key of ["day", "students", "plans"]) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  const waiting = practice.data?.rungs.filter((r) => r.standing === "waits") ?? [];
  if (waiting.length === 0) return null;
  const name = (of: { id: string; label: string }[], id: string) => of.find((o) => o.id === id)?.label ?? id;
  return (
    <section aria-label="Gates that wait" className="border-line grid gap-2 border-t pt-3">
      {waiting.map((r) => (
        <div key={r.fault + r.rung} className="flex flex-wrap items-center gap-3">
          <p>
            <strong>{name(catalogue.faults, r.fault)}</strong>, {name(catalogue.rungs, r.rung).toLowerCase()}:{" "}
            {r.sets
              .slice(-CHECKS)
              .map((s) => `${s.good} of ${s.of}`)
              .join(", ")}
            ; waits for your word.
          </p>
          <Button disabled={sign.isPending} onClick={() => sign.mutate(r)}>
            Sign the gate
          </Button>
        </div>
      ))}
      {sign.isError && <Failed error={sign.error} />}
    </section>
  );
}
