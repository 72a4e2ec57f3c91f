import { shortDay } from "@/ui/dates";
import { Note } from "@/ui/Notice";
import { useOutbox } from "./useOutbox";

/** What of the student's practice the coach does not have yet. */
export function Waiting() {
  const waiting = useOutbox();
  const unsent = waiting.filter((k) => k.state === "unsent");
  return (
    <div role="status" className="grid gap-3 not-empty:mb-4">
      {unsent.length > 0 && (
        <Note tone="warn">
          Kept on this phone and sent as soon as there is a connection:{" "}
          {unsent.map((k) => shortDay(k.entry.day)).join("; ")}.
        </Note>
      )}
      {waiting
        .filter((k) => k.state === "refused")
        .map((k) => (
          <Note key={k.id} tone="warn">
            {shortDay(k.entry.day)} could not be taken: {k.refusal} Show it to your coach.
          </Note>
        ))}
    </div>
  );
}
