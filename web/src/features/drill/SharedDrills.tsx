import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";

/** Whether the other coaches of the house may take a copy of one's own drill. */
export function ShareDrill({ id }: { id: string }) {
  const sharing = useQuery(queries.sharedDrills());
  const client = useQueryClient();
  const share = useMutation({
    mutationFn: (shared: boolean) => api.put<void>(`/api/drills/own/${id}/shared`, { shared }),
    onSuccess: () => client.invalidateQueries({ queryKey: queries.sharedDrills().queryKey }),
  });
  if (!sharing.data) return null;
  const shared = sharing.data.own.includes(id);
  return (
    <>
      <Button
        weight="quiet"
        aria-pressed={shared}
        disabled={share.isPending}
        onClick={() => share.mutate(!shared)}
      >
        {shared ? "Shared with the academy" : "Share with the academy"}
      </Button>
      {share.isError && <Failed error={share.error} />}
    </>
  );
}

/** What other coaches share: each can be taken as a copy, which stays when the other changes it or leaves. */
export function SharedDrills() {
  const sharing = useQuery(queries.sharedDrills());
  const client = useQueryClient();
  const copy = useMutation({
    mutationFn: (drill: { coachId: string; id: string }) =>
      api.post<void>(`/api/drills/shared/${drill.coachId}/${drill.id}/copy`),
    onSuccess: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: queries.sharedDrills().queryKey }),
        client.invalidateQueries({ queryKey: ["catalogue"] }),
      ]),
  });
  const others = sharing.data?.others ?? [];
  if (others.length === 0) return null;
  return (
    <section aria-labelledby="shared" className="border-line border-t pt-4">
      <h2 id="shared" className="mb-1">
        Shared by other coaches
      </h2>
      <ul className="max-w-3xl">
        {others.map((drill) => (
          <li key={drill.coachId + drill.id} className="border-line flex items-center gap-3 border-b py-1">
            <span className="flex-1">
              <strong>{drill.name}</strong> <span className="text-soft">by {drill.coach}</span>
            </span>
            {drill.taken ? (
              <span className="text-soft">in your library</span>
            ) : (
              <Button disabled={copy.isPending} onClick={() => copy.mutate(drill)}>
                Take a copy
              </Button>
            )}
          </li>
        ))}
      </ul>
      {copy.isError && <Failed error={copy.error} />}
    </section>
  );
}
