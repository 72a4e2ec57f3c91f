import { useState } from "react";
import type { Catalogue } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Note } from "@/ui/Notice";
import { PainFields } from "./PainFields";
import type { useSession } from "./useSession";
import { Title } from "@/ui/Title";

const FEEL = [
  { id: "1", label: "Lost" },
  { id: "2", label: "2" },
  { id: "3", label: "3" },
  { id: "4", label: "4" },
  { id: "5", label: "Clear" },
];
const FLIGHTS = 9;

/** Clear or lost, pain, balls and a note; then what the gate says. */
export function AfterPractice({
  catalogue,
  session,
  onBack,
}: {
  catalogue: Catalogue;
  session: ReturnType<typeof useSession>;
  onBack?: () => void;
}) {
  const { entry, blocks, change, stored, unsent, error } = session;
  const [halfTold, setHalfTold] = useState(false);
  const drills = [...new Set(blocks.map((b) => b.drill))];
  const hitBalls = entry.blocks.some((b) => b.marks.length > 0 && (blocks[b.block]?.balls ?? 0) > 0);
  if (entry.finished) {
    return <Finished catalogue={catalogue} stored={stored} waiting={unsent} error={error} />;
  }
  return (
    <main className="grid content-start gap-6 px-5 py-5">
      <Title>After practice</Title>
      <h1>How was it?</h1>
      <fieldset className="grid gap-2">
        <legend className="mb-1 font-semibold">The movement felt</legend>
        <Choice
          compact
          label="The movement felt"
          value={entry.feel ? String(entry.feel) : ""}
          options={FEEL}
          onChange={(feel) => change((e) => ({ ...e, feel: Number(feel) }))}
        />
      </fieldset>
      <PainFields
        pain={entry.pain}
        drills={drills}
        catalogue={catalogue}
        onChange={(pain) => change((e) => ({ ...e, pain }))}
        onHalfTold={setHalfTold}
      />
      {hitBalls && (
        <fieldset>
          <legend className="mb-2 font-semibold">How did the balls fly?</legend>
          <div className="grid grid-cols-3 gap-2">
            {catalogue.ballResults
              .filter((r) => r.kind === "flight")
              .slice(0, FLIGHTS)
              .map((r) => {
                const count = entry.balls.flight?.[r.id] ?? 0;
                const set = (n: number) =>
                  change((e) => ({
                    ...e,
                    balls: { ...e.balls, flight: { ...e.balls.flight, [r.id]: Math.max(0, n) } },
                  }));
                return (
                  <Button
                    key={r.id}
                    aria-label={`${r.label}: ${count}`}
                    className="min-h-14! px-2!"
                    onClick={() => set(count + 1)}
                  >
                    <span className="grid text-sm">
                      {r.label}
                      <strong className="text-lg leading-none">{count || "·"}</strong>
                    </span>
                  </Button>
                );
              })}
          </div>
          <Button weight="quiet" onClick={() => change((e) => ({ ...e, balls: { ...e.balls, flight: {} } }))}>
            Start the count again
          </Button>
        </fieldset>
      )}
      <label className="grid gap-1">
        <span className="font-semibold">A note to your coach, if you like</span>
        <textarea
          rows={3}
          maxLength={1000}
          value={entry.note}
          onChange={(e) => change((was) => ({ ...was, note: e.target.value }))}
        />
      </label>
      <div className="grid gap-2">
        <Button
          weight="main"
          className="min-h-14! text-lg"
          disabled={!entry.feel || halfTold}
          onClick={() => change((e) => ({ ...e, finished: true }))}
        >
          Done for today
        </Button>
        {!entry.feel && (
          <p className="text-soft text-center text-sm">Say first whether it felt lost or clear.</p>
        )}
        {halfTold && (
          <p className="text-alert text-center text-sm">Say where it hurts and how much, or answer no.</p>
        )}
        {onBack && (
          <Button weight="quiet" onClick={onBack}>
            Back to the reps
          </Button>
        )}
      </div>
    </main>
  );
}

function Finished({
  catalogue,
  stored,
  waiting,
  error,
}: {
  catalogue: Catalogue;
  stored: ReturnType<typeof useSession>["stored"];
  waiting: boolean;
  error: Error | null;
}) {
  return (
    <main className="grid content-start gap-5 px-5 py-5">
      <h1>Done for today</h1>
      {waiting && error && (
        <Note tone="warn">
          Kept on this phone and sent as soon as there is a connection. ({error.message})
        </Note>
      )}
      {stored?.session.earlierPlan && (
        <Note>
          Your plan had changed meanwhile. What you did is kept as you did it, and your coach sees that.
        </Note>
      )}
      {stored?.rungs.map((r) => (
        <div key={r.fault + r.rung}>
          <h2>
            {catalogue.rungs.find((x) => x.id === r.rung)?.label}, {catalogue.drills[r.drill]?.name}
          </h2>
          <p className="text-lg">{r.says}</p>
        </div>
      ))}
      {stored?.stopped.map((id) => (
        <Note key={id} tone="alert">
          {catalogue.drills[id]?.name} is stopped until your coach has looked at it.
        </Note>
      ))}
      <ButtonLink to="/today" weight="main">
        To today
      </ButtonLink>
    </main>
  );
}
