import { X } from "lucide-react";
import { useState } from "react";
import type { Catalogue } from "@/api/types";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import type { Ball, Said } from "./session";

const KINDS = ["flight", "strike"] as const;

/** What the last ball did, by large targets; and every ball of the block, to be put right. */
export function BallPanel({
  catalogue,
  told,
  onTold,
}: {
  catalogue: Catalogue;
  told: Said;
  onTold: (part: Partial<Said>) => void;
}) {
  const [chosen, setChosen] = useState<number>();
  const at = chosen !== undefined && chosen < told.balls.length ? chosen : told.balls.length - 1;
  const ball = told.balls[at];
  const put = (next: Ball) => onTold({ balls: told.balls.map((b, i) => (i === at ? next : b)) });
  const label = (kind: string, id?: string | null) =>
    catalogue.ballResults.find((r) => r.kind === kind && r.id === id)?.label;
  return (
    <section aria-label="Balls" className="grid gap-2">
      <label className="flex items-center gap-2">
        <span className="text-soft text-sm">Club</span>
        <select
          className="min-h-11 flex-1"
          value={told.club ?? ""}
          onChange={(e) => onTold({ club: e.target.value || undefined })}
        >
          <option value="">not said</option>
          {catalogue.practice.clubs.map((c) => (
            <option key={c.id} value={c.id}>
              {c.label}
            </option>
          ))}
        </select>
      </label>
      {ball && (
        <>
          <p className="flex items-center gap-2 font-semibold">
            Ball {at + 1}
            {chosen !== undefined && (
              <>
                <IconButton
                  label={`Take ball ${at + 1} out`}
                  onClick={() => {
                    onTold({ balls: told.balls.filter((_, i) => i !== at) });
                    setChosen(undefined);
                  }}
                >
                  <X aria-hidden className="size-5" />
                </IconButton>
                <Button weight="quiet" onClick={() => setChosen(undefined)}>
                  Back to the last
                </Button>
              </>
            )}
          </p>
          {KINDS.map((kind) => (
            <div key={kind} role="group" aria-label={kind} className="grid grid-cols-3 gap-1">
              {catalogue.ballResults
                .filter((r) => r.kind === kind)
                .map((r) => (
                  <button
                    key={r.id}
                    type="button"
                    aria-pressed={ball[kind] === r.id}
                    className="border-strong-line bg-sheet aria-pressed:bg-ink aria-pressed:text-on-ink min-h-11 rounded-md border px-1 text-sm font-semibold"
                    onClick={() => put({ ...ball, [kind]: ball[kind] === r.id ? undefined : r.id })}
                  >
                    {r.label}
                  </button>
                ))}
            </div>
          ))}
        </>
      )}
      {told.balls.length > 1 && (
        <details>
          <summary className="text-soft min-h-11 cursor-pointer py-2">
            {told.balls.length} balls, to put one right
          </summary>
          <ol className="grid grid-cols-2 gap-1">
            {told.balls.map((b, i) => (
              <li key={i}>
                <Button className="w-full justify-start! px-2! text-sm" onClick={() => setChosen(i)}>
                  {i + 1}{" "}
                  {[label("flight", b.flight), label("strike", b.strike)].filter(Boolean).join(", ") ||
                    "not said"}
                </Button>
              </li>
            ))}
          </ol>
        </details>
      )}
    </section>
  );
}
