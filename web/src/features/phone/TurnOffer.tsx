import type { Catalogue, Drill } from "@/api/types";
import { Button } from "@/ui/Button";
import type { RunBlock } from "./session";
import type { Offer } from "./turns";

/** What the session proposes after a run of misses or of good ones; one tap takes it, one refuses. */
export function TurnOffer({
  offer,
  block,
  drill,
  rules,
  onTake,
  onDecline,
}: {
  offer: Offer;
  block: RunBlock;
  drill: Drill;
  rules: Catalogue["practice"];
  onTake: (kind: "easier" | "rehearse" | "harder") => void;
  onDecline: () => void;
}) {
  const next = drill.next[block.rung];
  return (
    <section
      aria-label="The session proposes"
      className="border-ink bg-tint grid gap-2 rounded-md border-2 p-3"
    >
      {offer === "misses" ? (
        <>
          <p>
            <strong>{rules.misses} not, running.</strong> Easier: {drill.easier}
          </p>
          <div className="flex flex-wrap gap-2">
            <Button weight="main" onClick={() => onTake("easier")}>
              Easier
            </Button>
            {block.strikes > 0 && (
              <Button onClick={() => onTake("rehearse")}>{rules.rehearsals} more rehearsals</Button>
            )}
            <Button weight="quiet" onClick={onDecline}>
              No, go on
            </Button>
          </div>
        </>
      ) : (
        <>
          <p>
            <strong>{rules.good} good, running.</strong>{" "}
            {next ? `${next.label}: ${next.action}` : `Harder: ${drill.harder}`}
          </p>
          <div className="flex flex-wrap gap-2">
            <Button weight="main" onClick={() => onTake("harder")}>
              Harder
            </Button>
            <Button weight="quiet" onClick={onDecline}>
              No, as it is
            </Button>
          </div>
        </>
      )}
    </section>
  );
}
