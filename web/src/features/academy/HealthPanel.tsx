import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import { LANGUAGE, moment } from "@/calendar/dates";
import { Failed, Loading, Note } from "@/ui/Notice";

/** How the installation is, for its owner. */
export function HealthPanel() {
  const health = useQuery(queries.health());
  if (health.isPending) return <Loading />;
  if (health.isError) return <Failed error={health.error} again={() => health.refetch()} />;
  const h = health.data;
  const facts: [string, string][] = [
    ["Last backup", h.lastBackup ? `${moment(h.lastBackup)}, ${bytes(h.lastBackupBytes ?? 0)}` : "none yet"],
    ["Free on the disk", `${bytes(h.freeBytes)} of ${bytes(h.diskBytes)}`],
    ["Wrong passwords within a day", String(h.refusedSignIns)],
    ["Running since", moment(h.startedAt)],
    ["Version", `${h.version}, store ${h.schema}`],
  ];
  return (
    <section aria-labelledby="health" className="border-line grid gap-3 border-t pt-5">
      <h2 id="health">The installation</h2>
      {h.full && (
        <Note tone="alert">
          <p>The disk is full: nothing can be stored. Make room; it goes on by itself.</p>
        </Note>
      )}
      {h.certificate && (
        <Note tone="alert">
          <p>{h.certificate}</p>
        </Note>
      )}
      <dl className="grid max-w-3xl gap-x-6 gap-y-1 sm:grid-cols-[16rem_1fr]">
        {facts.map(([what, how]) => (
          <div key={what} className="contents">
            <dt className="text-soft">{what}</dt>
            <dd>{how}</dd>
          </div>
        ))}
      </dl>
      {h.slow.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2">
            Latest requests of half a second or more ({h.slow.length})
          </summary>
          <ul>
            {h.slow.map((s, i) => (
              <li key={i} className="flex gap-4">
                <span className="text-soft w-40">{moment(s.at)}</span>
                <span className="w-24 text-right tabular-nums">{s.milliseconds} ms</span>
                <code>{s.what}</code>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

/** Bytes as people read them: 1.4 GB. */
export function bytes(count: number): string {
  const units = ["bytes", "kB", "MB", "GB", "TB"];
  let value = count;
  let unit = 0;
  while (value >= 1000 && unit < units.length - 1) {
    value /= 1000;
    unit++;
  }
  return `${value.toLocaleString(LANGUAGE, { maximumFractionDigits: value < 10 && unit > 0 ? 1 : 0 })} ${units[unit]}`;
}
