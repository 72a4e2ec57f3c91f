import { useState } from "react";
import type { Catalogue } from "@/api/types";
import { Choice } from "@/ui/Choice";
import { Note } from "@/ui/Notice";
import { BodyPicture } from "./BodyPicture";
import type { Entry } from "./session";

type Pain = NonNullable<Entry["pain"]>;

const SCORES = Array.from({ length: 10 }, (_, i) => ({ id: String(i + 1), label: String(i + 1) }));

/**
 * Where it hurt, how much and in which drill. Told only once place and score are chosen: it can stop a drill. Until then
 * it is half told, and nothing may end over it.
 */
export function PainFields({
  pain,
  drills,
  catalogue,
  onChange,
  onHalfTold,
}: {
  pain: Pain | undefined | null;
  drills: string[];
  catalogue: Catalogue;
  onChange: (pain: Pain | undefined) => void;
  onHalfTold: (half: boolean) => void;
}) {
  const [open, setOpen] = useState(pain != null);
  const [draft, setDraft] = useState<Pain>(pain ?? { where: "", score: 0, drill: drills.at(-1)! });
  const set = (part: Partial<Pain>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    if (next.where && next.score) onChange(next);
    onHalfTold(!next.where || !next.score);
  };
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-semibold">Did anything hurt?</legend>
      <Choice
        label="Did anything hurt?"
        value={open ? "yes" : "no"}
        options={[
          { id: "no", label: "No" },
          { id: "yes", label: "Yes" },
        ]}
        onChange={(answer) => {
          setOpen(answer === "yes");
          onHalfTold(answer === "yes" && (!draft.where || !draft.score));
          if (answer === "no") {
            setDraft({ where: "", score: 0, drill: drills.at(-1)! });
            onChange(undefined);
          }
        }}
      />
      {open && (
        <div className="grid gap-3">
          <BodyPicture joints={catalogue.joints} value={draft.where} onChange={(where) => set({ where })} />
          <div className="grid gap-1">
            <p>How much, 1 hardly to 10 worst</p>
            <Choice
              compact
              columns={5}
              label="How much"
              value={draft.score ? String(draft.score) : ""}
              options={SCORES}
              onChange={(score) => set({ score: Number(score) })}
            />
          </div>
          {drills.length > 1 && (
            <label className="grid gap-1">
              In which drill
              <select
                className="min-h-11"
                value={draft.drill}
                onChange={(e) => set({ drill: e.target.value })}
              >
                {drills.map((id) => (
                  <option key={id} value={id}>
                    {catalogue.drills[id]?.name}
                  </option>
                ))}
              </select>
            </label>
          )}
          <Note tone="alert">
            Pain means stop. Your coach sees this first; pain that stays goes to a doctor or physiotherapist.
          </Note>
        </div>
      )}
    </fieldset>
  );
}
