import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";

/** The token by which a plate's bridge is known to be this coach's. */
export function OwnPlate() {
  const client = useQueryClient();
  const plate = useQuery(queries.plate());
  const make = useMutation({
    mutationFn: () => api.post<Wire["TokenView"]>("/api/plate/token"),
    onSuccess: () => client.invalidateQueries({ queryKey: queries.plate().queryKey }),
  });
  const madeAt = plate.data?.tokenMadeAt;
  return (
    <section aria-labelledby="plate" className="grid justify-items-start gap-2">
      <h2 id="plate">Pressure plate</h2>
      <p className="text-soft max-w-prose text-sm">
        A plate sends its loads through a bridge program to {window.location.origin}, with a token of yours.
        How such a bridge is written is in docs/plate-stream.md of the installation.
      </p>
      {make.data ? (
        <p className="grid gap-1">
          <span>Copy the token now: it is not shown again.</span>
          <code className="bg-tint rounded px-2 py-1 break-all">{make.data.token}</code>
        </p>
      ) : (
        madeAt && <p>There is a token, made {longDay(madeAt.slice(0, 10))}.</p>
      )}
      <Button disabled={make.isPending} onClick={() => make.mutate()}>
        {madeAt ? "Make a new token; the old one ends" : "Make a token"}
      </Button>
      {make.isError && <Failed error={make.error} />}
    </section>
  );
}
