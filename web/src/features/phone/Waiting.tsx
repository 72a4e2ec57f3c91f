import { useState } from "react";
import { Button } from "@/ui/Button";
import { shortDay } from "@/calendar/dates";
import { Note } from "@/ui/Notice";
import type { Kept } from "./outbox";
import { useOutbox } from "./useOutbox";

/** What of the student's practice the coach does not have yet. */
export function Waiting() {
  const { waiting, putAway } = useOutbox();
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
          <Refused key={k.id} kept={k} onPutAway={() => putAway(k.id)} />
        ))}
    </div>
  );
}

/** A practice that was not taken; it goes only after a second tap, for it is nowhere else. */
function Refused({ kept, onPutAway }: { kept: Kept; onPutAway: () => void }) {
  const [asked, setAsked] = useState(false);
  return (
    <Note tone="warn">
      <p>
        {shortDay(kept.entry.day)} could not be taken: {kept.refusal} Show it to your coach.
      </p>
      {asked ? (
        <p className="flex flex-wrap gap-2">
          <Button onClick={onPutAway}>Delete it from this phone</Button>
          <Button weight="quiet" onClick={() => setAsked(false)}>
            Keep it
          </Button>
        </p>
      ) : (
        <Button weight="quiet" onClick={() => setAsked(true)}>
          Put it away
        </Button>
      )}
    </Note>
  );
}
