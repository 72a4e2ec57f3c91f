import { useEffect } from "react";
import { useBlocker } from "react-router";
import { Button } from "./Button";
import { Sheet } from "./Sheet";

/** The state of a navigation that follows a save: nothing is asked. */
export const SAVED = { state: { saved: true } };

/** Asks before the page is left while something on it is not saved; on the way to another page of ours, `unless` that does no harm. */
export function AskBeforeLeaving({ when, unless }: { when: boolean; unless?: () => boolean }) {
  useEffect(() => {
    if (!when) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, [when]);
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      when &&
      !unless?.() &&
      currentLocation.pathname !== nextLocation.pathname &&
      !(nextLocation.state as typeof SAVED.state | null)?.saved,
  );
  return (
    <Sheet
      title="Leave without saving?"
      open={blocker.state === "blocked"}
      onOpenChange={(open) => !open && blocker.reset?.()}
    >
      <p>What you changed here is not saved.</p>
      <div className="flex flex-wrap gap-3">
        <Button weight="main" onClick={() => blocker.reset?.()}>
          Stay
        </Button>
        <Button onClick={() => blocker.proceed?.()}>Leave</Button>
      </div>
    </Sheet>
  );
}
