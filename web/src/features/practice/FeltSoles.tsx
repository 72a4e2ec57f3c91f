import type { Catalogue, Hand, Thread } from "@/api/types";
import { shortDay } from "@/calendar/dates";
import { Soles } from "../feet/Soles";

type Told = { day: string; share: number };

/** The latest share under the trail foot at this moment in a lesson, the plate's before any other. */
function inLesson(thread: Thread, at: string): Told | undefined {
  for (const knot of [...thread.knots].reverse()) {
    const all = { ...knot.before, ...knot.after };
    const keys = Object.keys(all).filter((key) => key.startsWith(`trail-share@${at}/`));
    const key = keys.find((k) => k.endsWith("/plate")) ?? keys[0];
    if (key) return { day: knot.heldOn, share: all[key]!.value };
  }
}

/** What the student last felt under the feet at home, laid over what a lesson told. */
export function FeltSoles({ thread, catalogue, hand }: { thread: Thread; catalogue: Catalogue; hand: Hand }) {
  const felt = catalogue.checkpoints.flatMap(({ id, label }) => {
    const last = thread.between.find((series) => series.id === `felt:${id}`)?.points.at(-1);
    return last
      ? [{ id, label, felt: { day: last.day, share: last.value }, told: inLesson(thread, id) }]
      : [];
  });
  if (felt.length === 0) return null;
  return (
    <section aria-labelledby="felt-soles">
      <h2 id="felt-soles">Felt at home, {shortDay(felt[0]!.felt.day)}</h2>
      <ul className="grid grid-cols-3 gap-4">
        {felt.map(({ id, label, felt: { share }, told }) => (
          <li key={id}>
            <Soles hand={hand} trailShare={share} earlier={told?.share} />
            <p className="text-center">
              <strong>{label}</strong>
            </p>
            {told && (
              <p className="text-soft text-center text-sm">
                {Math.round(told.share)} % in the lesson of {shortDay(told.day)} (shadow)
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
