import { Minus, Plus } from "lucide-react";
import { Choice } from "@/ui/Choice";
import { IconButton } from "@/ui/IconButton";
import { inDigits } from "@/ui/number";
import { scaleOf, type Scales, toMetric, toSaid } from "@/ui/units";
import { isRight, MOST, type Notice, rightOf } from "../drill/notice";

/** So many letters of all answers stand beside each other on a phone. */
const IN_ONE_ROW = 26;

/** What the drill asks to be noticed in the set just done, and at once whether that is it; may be left out. */
export function Noticing({
  notice,
  scales,
  said,
  onSay,
}: {
  notice: Notice;
  scales: Scales;
  said: string;
  onSay: (said: string) => void;
}) {
  const scale = scaleOf(scales, notice.unit ?? "");
  // Counted in whole ones of the student's own unit, and in halves where that is a long one.
  const step = scale.factor === 1 ? 1 : 0.5;
  const number = toSaid(Number(said || 0), scale);
  const say = (shown: number) => onSay(String(toMetric(shown, scale)));
  const right = isRight(notice, said);
  return (
    <fieldset className="grid gap-1.5">
      <legend className="mb-1 font-semibold">{notice.question}</legend>
      {notice.unit != null ? (
        <div className="flex items-center gap-3">
          <IconButton label="Less" disabled={number === 0} onClick={() => say(Math.max(0, number - step))}>
            <Minus aria-hidden />
          </IconButton>
          <output className="min-w-16 text-center text-2xl">
            {said === "" ? "–" : inDigits(number)} {scale.unit}
          </output>
          <IconButton
            label="More"
            disabled={Number(said) + toMetric(step, scale) > MOST}
            onClick={() => (said === "" ? onSay("0") : say(number + step))}
          >
            <Plus aria-hidden />
          </IconButton>
        </div>
      ) : (
        <Choice
          label={notice.question}
          value={said}
          options={notice.answers}
          // Long answers would break the row anywhere.
          columns={notice.answers.map((a) => a.label).join("").length > IN_ONE_ROW ? 1 : undefined}
          onChange={onSay}
        />
      )}
      <p role="status" className="text-soft text-sm">
        {right === true && "That is it."}
        {right === false && `A good set has: ${rightOf(notice, scales)}.`}
      </p>
    </fieldset>
  );
}
