import { Choice } from "@/ui/Choice";
import type { Scales } from "@/ui/units";
import type { Notice } from "../drill/notice";
import { Noticing } from "./Noticing";
import type { RunBlock } from "./session";

const STEP = 10;
const AROUND = [-2, -1, 0, 1, 2];
const SLOWEST = 10;
const FULL = 100;

/** Speeds to choose from around the one that was asked for, percent of full. */
export function speedsAround(asked: number): number[] {
  const middle = Math.round(asked / STEP) * STEP;
  const shift = Math.min(0, FULL - (middle + 2 * STEP)) + Math.max(0, SLOWEST - (middle - 2 * STEP));
  return AROUND.map((n) => middle + n * STEP + shift);
}

/** What is asked after each set: what was noticed, and how fast it felt. */
export function SetQuestions({
  notice,
  scales,
  noticed,
  onNoticed,
  block,
  speed,
  onSpeed,
}: {
  notice?: Notice | null;
  scales: Scales;
  noticed: string;
  onNoticed: (said: string) => void;
  block: RunBlock;
  speed: number;
  onSpeed: (speed: number) => void;
}) {
  return (
    <>
      {notice && <Noticing notice={notice} scales={scales} said={noticed} onSay={onNoticed} />}
      {block.speed > 0 && (
        <fieldset className="grid gap-1">
          <legend className="mb-1 text-sm">
            How fast was it? <span className="text-soft">Asked for: {block.speed} %</span>
          </legend>
          <Choice
            compact
            label="How fast was it, percent of full?"
            value={speed ? String(speed) : ""}
            columns={AROUND.length}
            options={speedsAround(block.speed).map((s) => ({ id: String(s), label: String(s) }))}
            onChange={(s) => onSpeed(Number(s))}
          />
        </fieldset>
      )}
    </>
  );
}
