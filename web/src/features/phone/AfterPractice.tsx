import { Minus } from "lucide-react";
import { useState } from "react";
import type { Catalogue } from "@/api/types";
import { Button, ButtonLink } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Note } from "@/ui/Notice";
import { BallPanel } from "./BallPanel";
import { PainFields } from "./PainFields";
import { toldOf, withTold } from "./session";
import type { useSession } from "./useSession";
import { Title } from "@/ui/Title";

const FEEL = [
  { id: "1", label: "Lost" },
  { id: "2", label: "2" },
  { id: "3", label: "3" },
  { id: "4", label: "4" },
  { id: "5", label: "Clear" },
];

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
      {hitBalls && <Balls catalogue={catalogue} session={session} />}
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

const KINDS = [
  { id: "flight", legend: "How did the balls fly?" },
  { id: "strike", legend: "How were they struck?" },
] as const;

/** Balls told one by one, to be looked over; where none was, they can be counted here. */
function Balls({ catalogue, session }: { catalogue: Catalogue; session: ReturnType<typeof useSession> }) {
  const { entry, change } = session;
  const told = entry.blocks
    .map((b) => ({ at: b.block, said: toldOf(entry, b.block) }))
    .filter(({ said }) => said.balls.some((b) => b.flight || b.strike));
  if (told.length > 0) {
    return (
      <section className="grid gap-3">
        <h2>The balls</h2>
        {told.map(({ at, said }) => (
          <details key={at} open={told.length === 1}>
            <summary className="min-h-11 cursor-pointer py-2 font-semibold">
              {catalogue.drills[session.blocks[at]?.drill ?? ""]?.name}: {said.balls.length} balls
            </summary>
            <BallPanel
              catalogue={catalogue}
              told={said}
              onTold={(part) => change((e) => withTold(e, at, session.blocks[at]!, part))}
            />
          </details>
        ))}
      </section>
    );
  }
  return (
    <>
      {KINDS.map(({ id, legend }) => (
        <fieldset key={id}>
          <legend className="mb-2 font-semibold">{legend}</legend>
          <div className="grid grid-cols-3 gap-2">
            {catalogue.ballResults
              .filter((r) => r.kind === id)
              .map((r) => {
                const counts = entry.balls[id] ?? {};
                const count = counts[r.id] ?? 0;
                const set = (n: number) =>
                  change((e) => ({
                    ...e,
                    balls: { ...e.balls, [id]: { ...counts, [r.id]: Math.max(0, n) } },
                  }));
                return (
                  <span key={r.id} className="border-strong-line bg-sheet flex rounded-md border">
                    <button
                      type="button"
                      aria-label={`${r.label}: ${count}`}
                      className="grid min-h-14 flex-1 justify-items-center py-1 text-sm"
                      onClick={() => set(count + 1)}
                    >
                      {r.label}
                      <strong className="text-lg leading-none">{count || "·"}</strong>
                    </button>
                    {count > 0 && (
                      <button
                        type="button"
                        aria-label={`One ${r.label} less`}
                        className="border-line min-w-11 border-l"
                        onClick={() => set(count - 1)}
                      >
                        <Minus aria-hidden className="mx-auto size-4" />
                      </button>
                    )}
                  </span>
                );
              })}
          </div>
        </fieldset>
      ))}
    </>
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
