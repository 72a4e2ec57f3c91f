import type { Catalogue, Progress } from "@/api/types";

type Seen = Progress["signs"];

/** Signs by what became of them: no longer seen, new, still there. */
export function bySign(signs: Seen, catalogue: Catalogue): { title: string; labels: string[] }[] {
  const labels = (which: (s: Seen[number]) => boolean) =>
    signs.filter(which).map((s) => catalogue.signs.find((c) => c.id === s.sign)?.label ?? s.sign);
  return [
    { title: "No longer seen", labels: labels((s) => s.then && !s.now) },
    { title: "New", labels: labels((s) => !s.then && s.now) },
    { title: "Still there", labels: labels((s) => s.then && s.now) },
  ].filter((group) => group.labels.length > 0);
}

/** What was looked for both times. */
export function SignsThenAndNow({ signs, catalogue }: { signs: Seen; catalogue: Catalogue }) {
  if (signs.length === 0) return null;
  return (
    <dl className="grid gap-x-4 sm:grid-cols-[max-content_minmax(0,1fr)]">
      {bySign(signs, catalogue).map((group) => (
        <div key={group.title} className="contents">
          <dt className="text-soft">{group.title}</dt>
          <dd className={group.title === "Still there" ? "text-soft" : "font-semibold"}>
            {group.labels.join("; ")}
          </dd>
        </div>
      ))}
    </dl>
  );
}
