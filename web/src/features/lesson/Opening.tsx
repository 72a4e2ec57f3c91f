import type { Catalogue, Lesson } from "@/api/types";
import { Button } from "@/ui/Button";
import { longDay } from "@/calendar/dates";

/** What a lesson begins from: the complaint, what is sore or stopped, the last decision, what to look at first. */
export function Opening({
  lesson,
  catalogue,
  stopped = [],
  onSince,
}: {
  lesson: Lesson;
  catalogue: Catalogue;
  /** Names of drills that hurt. */
  stopped?: string[];
  /** To what has happened since the last lesson. */
  onSince?: () => void;
}) {
  const fault = (id: string) => catalogue.faults.find((f) => f.id === id)?.label.toLowerCase() ?? id;
  const last = lesson.history.at(-1);
  const [first] = lesson.diagnosis.nextLooks;
  const look = first && catalogue.signs.find((s) => s.id === first.sign)?.label;
  const sore = lesson.flags.map((id) => catalogue.joints.find((j) => j.id === id)?.label.toLowerCase() ?? id);
  const facts = [
    { title: "Complains of", text: lesson.complaint },
    { title: "Plays", text: `${lesson.handedness}-handed` },
    { title: "To spare", text: sore.join(", ") },
    { title: "Hurt and stopped", text: stopped.join(", ") },
    {
      title: "Last decision",
      text:
        last?.worked && last.worked.length > 0
          ? `${last.worked.map(fault).join(", then ")}, on ${longDay(last.on)}`
          : "",
    },
    { title: "Look first", text: look ?? "" },
  ].filter((f) => f.text);
  return (
    <section aria-label="Where this lesson begins" className="border-line grid gap-2 border-b pb-3">
      <dl className="grid grid-cols-[max-content_minmax(0,1fr)] gap-x-4">
        {facts.map((fact) => (
          <div key={fact.title} className="contents">
            <dt className="text-soft">{fact.title}</dt>
            <dd>{fact.text}</dd>
          </div>
        ))}
      </dl>
      {last && onSince && (
        <Button className="justify-self-start" onClick={onSince}>
          What has happened since
        </Button>
      )}
    </section>
  );
}
