import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Popover } from "radix-ui";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Plan } from "@/api/types";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Failed } from "@/ui/Notice";

type Step = Plan["route"][number];

const ASKED = ["6", "7", "8", "9", "10"].map((n) => ({ id: n, label: n }));

/** What passes this rung for this student, and whether the coach signs it. */
export function GateSetting({ studentId, step }: { studentId: string; step: Step }) {
  const client = useQueryClient();
  const gates = useQuery(queries.gates(studentId));
  const path = `/api/students/${studentId}/gates/${step.fault}/${step.rung}`;
  const change = useMutation({
    mutationFn: (request: () => Promise<void>) => request(),
    onSuccess: () => {
      for (const key of ["students", "lessons", "day"]) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  if (!step.gate) return null;
  const own = gates.data?.find((g) => g.fault === step.fault && g.rung === step.rung);
  const good = own?.good ?? 8;
  const signs = own?.coachSigns ?? false;
  const set = (to: { good: number; coachSigns: boolean }) => change.mutate(() => api.put<void>(path, to));
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button
          type="button"
          className="decoration-strong-line hover:bg-tint text-left underline underline-offset-3"
        >
          gate {good} of {step.gate.of} on {step.gate.days} days
          {signs && (own?.signed ? ", signed" : ", you sign")}
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          className="bg-sheet border-strong-line z-40 grid gap-3 rounded-md border p-4"
        >
          <p className="font-semibold">Good of ten that pass it</p>
          <Choice
            compact
            label="Good of ten"
            value={String(good)}
            options={ASKED}
            onChange={(n) => set({ good: Number(n), coachSigns: signs })}
          />
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={signs}
              onChange={(e) => set({ good, coachSigns: e.target.checked })}
            />
            I sign it, from a lesson or a clip
          </label>
          {signs && !own?.signed && (
            <Button
              disabled={change.isPending}
              onClick={() => change.mutate(() => api.post<void>(`${path}/signature`))}
            >
              Sign it now
            </Button>
          )}
          {change.isError && <Failed error={change.error} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
