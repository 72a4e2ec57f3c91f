import { X } from "lucide-react";
import { useId, useState } from "react";
import type { Catalogue, Hand, LessonEntry, MomentName } from "@/api/types";
import { newId } from "@/api/newId";
import { Button } from "@/ui/Button";
import { scaleOf } from "@/ui/units";
import { readBall, sayBall } from "./ballText";
import { ballsOf, withBall, withoutBall } from "./changes";

const MOST = 60;
const NAME_LENGTH = 8;

/** How far balls came and how far off line, typed ball by ball. */
export function KeyedBalls({
  entry,
  moment,
  hand,
  catalogue,
  change,
  withClub = false,
}: {
  entry: LessonEntry;
  moment: MomentName;
  hand: Hand;
  catalogue: Catalogue;
  change: (change: (entry: LessonEntry) => LessonEntry) => void;
  /** Whether the club is asked here. */
  withClub?: boolean;
}) {
  const [text, setText] = useState("");
  const [wrong, setWrong] = useState<string>();
  const id = useId();
  const scale = scaleOf(catalogue.scales, "m");
  const balls = ballsOf(entry, moment);
  const add = () => {
    if (balls.length >= MOST) return setWrong(`${MOST} balls are enough here.`);
    const { ball, wrong } = readBall(text, scale, hand);
    setWrong(wrong);
    if (!ball) return;
    change((e) => withBall(e, moment, newId().slice(0, NAME_LENGTH), ball));
    setText("");
  };
  return (
    <div className="grid gap-1">
      <form
        noValidate
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <label htmlFor={id}>How far it came</label>
        <input
          id={id}
          className="min-h-11 w-36"
          autoComplete="off"
          placeholder={`${scale.unit}: 128 4L`}
          value={text}
          aria-invalid={wrong ? true : undefined}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          onChange={(e) => {
            setText(e.target.value);
            setWrong(undefined);
          }}
        />
        <Button type="submit" weight="quiet">
          Add ball
        </Button>
        {withClub && (
          <select
            aria-label="Club of these balls"
            className="min-h-11"
            value={entry[moment].club ?? ""}
            onChange={(event) => {
              const club = event.target.value || undefined;
              change((e) => ({ ...e, [moment]: { ...e[moment], club } }));
            }}
          >
            <option value="">club</option>
            {catalogue.practice.clubs.map((club) => (
              <option key={club.id} value={club.id}>
                {club.label}
              </option>
            ))}
          </select>
        )}
        {wrong && (
          <span id={`${id}-wrong`} role="alert" className="text-alert text-sm font-semibold">
            {wrong}
          </span>
        )}
      </form>
      {balls.length > 0 && (
        <ul aria-label={`Balls in ${scale.unit}`} className="flex flex-wrap gap-1">
          {balls.map(({ name, ball }, i) => (
            <li
              key={name}
              className="border-line bg-sheet flex items-center rounded border pl-2 tabular-nums"
            >
              {sayBall(ball, scale, hand)}
              <button
                type="button"
                aria-label={`Take ball ${i + 1} out`}
                className="hover:bg-tint grid min-h-8 w-8 place-items-center"
                onClick={() => change((e) => withoutBall(e, moment, name))}
              >
                <X aria-hidden className="size-3.5" />
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
