import { useState } from "react";
import { Button } from "@/ui/Button";
import { shortDay } from "@/calendar/dates";
import { Note } from "@/ui/Notice";
import { useOutbox, type Waits } from "./useOutbox";

/** What of the student's practice the coach does not have yet. */
export function Waiting() {
  const { waiting, putAway, tryAgain } = useOutbox();
  const unsent = waiting.filter((w) => !w.refusal);
  return (
    <div role="status" className="grid gap-3 not-empty:mb-4">
      {unsent.length > 0 && (
        <Note tone="warn">
          Kept on this phone and sent as soon as there is a connection:{" "}
          {unsent
            .map((w) => (w.what === "practice" ? shortDay(w.day) : `${w.what}, ${shortDay(w.day)}`))
            .join("; ")}
          .
        </Note>
      )}
      {waiting
        .filter((w) => w.refusal)
        .map((w) => (
          <Refused key={w.id} one={w} onAgain={() => tryAgain(w.id)} onPutAway={() => putAway(w.id)} />
        ))}
    </div>
  );
}

/** What was not taken; it goes only after a second tap, for it is nowhere else. */
function Refused({ one, onAgain, onPutAway }: { one: Waits; onAgain: () => void; onPutAway: () => void }) {
  const [asked, setAsked] = useState(false);
  return (
    <Note tone="warn">
      <p>
        {shortDay(one.day)} could not be taken: {one.refusal} Show it to your coach.
      </p>
      {asked ? (
        <p className="flex flex-wrap gap-2">
          <Button onClick={onPutAway}>Delete it from this phone</Button>
          <Button weight="quiet" onClick={() => setAsked(false)}>
            Keep it
          </Button>
        </p>
      ) : (
        <p className="flex flex-wrap gap-2">
          <Button onClick={onAgain}>Send it again</Button>
          <Button weight="quiet" onClick={() => setAsked(true)}>
            Put it away
          </Button>
        </p>
      )}
    </Note>
  );
}
