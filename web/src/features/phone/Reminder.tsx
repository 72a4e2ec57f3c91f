import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import { Failed } from "@/ui/Notice";

const HOURS = [7, 9, 12, 15, 17, 18, 19, 20];

/** A letter on practice days, only if wanted; and the days for the student's own calendar. */
export function Reminder({ hour }: { hour?: number | null }) {
  const client = useQueryClient();
  const set = useMutation({
    mutationFn: (hour: number | null) => api.put<void>("/api/me/reminder", { hour }),
    onSuccess: () => client.invalidateQueries({ queryKey: queries.me().queryKey }),
  });
  const chosen = set.isPending ? set.variables : hour;
  return (
    <section className="grid gap-2">
      <h2>Reminders</h2>
      <label className="flex flex-wrap items-center gap-3">
        On practice days, by e-mail
        <select
          className="min-h-11"
          value={chosen ?? ""}
          onChange={(e) => set.mutate(e.target.value === "" ? null : Number(e.target.value))}
        >
          <option value="">never</option>
          {HOURS.map((h) => (
            <option key={h} value={h}>
              at {h}:00
            </option>
          ))}
        </select>
      </label>
      <p className="text-soft text-sm">
        At most one a day, none once you have practised. Or{" "}
        <a href="/api/me/calendar.ics" download>
          put the days into your calendar
        </a>
        .
      </p>
      {set.isError && <Failed error={set.error} />}
    </section>
  );
}
