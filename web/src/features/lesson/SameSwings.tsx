import { X } from "lucide-react";
import { useState } from "react";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { IconButton } from "@/ui/IconButton";
import { MetricField } from "@/ui/MetricField";
import { inDigits } from "@/ui/number";
import { type Scale, scaleOf, type Scales, toSaid } from "@/ui/units";
import type { Notice } from "../drill/notice";

type Pair = Wire["PairEntry"];

const MOST = 60;
const MOST_PAIRS = 30;

/** The same swing noticed by student and coach, each for itself; how often both said the same. */
export function SameSwings({
  notice,
  scales,
  same,
  onChange,
}: {
  notice: Notice;
  scales: Scales;
  same: Pair[];
  onChange: (same: Pair[]) => void;
}) {
  const [student, setStudent] = useState("");
  const [coach, setCoach] = useState("");
  const scale = scaleOf(scales, notice.unit ?? "");
  const label = (id: string) =>
    notice.answers.find((a) => a.id === id)?.label ?? `${inDigits(toSaid(Number(id), scale))} ${scale.unit}`;
  const agreed = same.filter((p) => p.student === p.coach).length;
  const add = () => {
    onChange([...same, { student, coach }]);
    setStudent("");
    setCoach("");
  };
  return (
    <details open={same.length > 0}>
      <summary className="text-soft w-fit cursor-pointer py-1">
        Same swing, both asked
        {same.length > 0 && `: the same answer in ${agreed} of ${same.length}`}
      </summary>
      <div className="grid gap-2">
        <p className="font-semibold">{notice.question}</p>
        <Said who="The student says" notice={notice} scale={scale} value={student} onChange={setStudent} />
        <Said who="You saw" notice={notice} scale={scale} value={coach} onChange={setCoach} />
        <Button
          className="w-fit"
          disabled={student === "" || coach === "" || same.length >= MOST_PAIRS}
          onClick={add}
        >
          Keep this swing
        </Button>
        <ul className="flex flex-wrap gap-2">
          {same.map((pair, i) => (
            <li key={i} className="border-line flex items-center gap-1 rounded-md border pl-2 text-sm">
              {pair.student === pair.coach
                ? `both: ${label(pair.coach)}`
                : `${label(pair.student)}; seen: ${label(pair.coach)}`}
              <IconButton
                label={`Take swing ${i + 1} out`}
                onClick={() => onChange(same.filter((_, k) => k !== i))}
              >
                <X aria-hidden className="size-4" />
              </IconButton>
            </li>
          ))}
        </ul>
      </div>
    </details>
  );
}

function Said({
  who,
  notice,
  scale,
  value,
  onChange,
}: {
  who: string;
  notice: Notice;
  scale: Scale;
  value: string;
  onChange: (said: string) => void;
}) {
  return (
    <div className="flex flex-wrap items-center gap-3">
      <span className="text-soft w-32">{who}</span>
      {notice.unit == null ? (
        <Choice
          compact
          label={`${who}: ${notice.question}`}
          value={value}
          options={notice.answers}
          onChange={onChange}
        />
      ) : (
        <span className="flex items-center gap-2">
          <MetricField
            scale={scale}
            decimals={1}
            aria-label={`${who}: ${notice.question}`}
            lowest={0}
            highest={MOST}
            value={value === "" ? null : Number(value)}
            onChange={(n) => onChange(n === null ? "" : String(n))}
          />
          {scale.unit}
        </span>
      )}
    </div>
  );
}
