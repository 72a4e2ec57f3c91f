import { Plus, X } from "lucide-react";
import type { Catalogue, DrillSource, NoticeSource } from "@/api/types";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import { MetricField } from "@/ui/MetricField";
import { scaleOf } from "@/ui/units";
import { type Change, Pick } from "./fields";

const MOST_ANSWERS = 5;
const MOST = 60;

/** What a drill asks after each set: the question, its answers and which of them a good set has. */
export function NoticeFields({
  drill,
  catalogue,
  change,
  error,
}: {
  drill: DrillSource;
  catalogue: Catalogue;
  change: Change;
  error?: string;
}) {
  const notice: NoticeSource | undefined =
    typeof drill.notice === "string" ? { kind: drill.notice } : drill.notice;
  const usual = catalogue.notices.find((n) => n.usual.kind === notice?.kind)?.usual;
  const put = (part: Partial<NoticeSource>) => notice && change({ notice: { ...notice, ...part } });
  return (
    <fieldset className="grid gap-2">
      <div className="flex flex-wrap items-end gap-3">
        <Pick
          label="Asked after each set"
          value={notice?.kind ?? ""}
          options={[
            { id: "", label: "nothing" },
            ...catalogue.notices.map((n) => ({ id: n.usual.kind, label: n.label })),
          ]}
          onPick={(kind) => change({ notice: kind ? { kind } : undefined })}
        />
        {notice && usual && (
          <label className="grid min-w-64 flex-1">
            <span className="text-soft text-sm">Question</span>
            <input
              className="min-h-11"
              maxLength={120}
              placeholder={usual.question}
              value={notice.question ?? ""}
              onChange={(e) => put({ question: e.target.value || undefined })}
            />
          </label>
        )}
      </div>
      {notice && usual?.unit == null && usual && (
        <Answers
          answers={notice.answers ?? usual.answers}
          right={notice.right ?? usual.right}
          onChange={(answers, right) => put({ answers, right })}
        />
      )}
      {notice && usual?.unit != null && (
        <p className="flex flex-wrap items-center gap-2">
          A good set has
          <MetricField
            scale={scaleOf(catalogue.scales, usual.unit)}
            decimals={1}
            aria-label="from"
            lowest={0}
            highest={MOST}
            value={notice.from ?? usual.from ?? 0}
            onChange={(from) => put({ from: from ?? undefined })}
          />
          to
          <MetricField
            scale={scaleOf(catalogue.scales, usual.unit)}
            decimals={1}
            aria-label="to"
            lowest={0}
            highest={MOST}
            value={notice.to ?? usual.to ?? MOST}
            onChange={(to) => put({ to: to ?? undefined })}
          />
          {scaleOf(catalogue.scales, usual.unit).unit}
        </p>
      )}
      {error && <p className="text-alert text-sm">{error}</p>}
    </fieldset>
  );
}

type Answer = { id: string; label: string };

/** Answers in their order; those ticked are what a good set has. */
function Answers({
  answers,
  right,
  onChange,
}: {
  answers: Answer[];
  right: string[];
  onChange: (answers: Answer[], right: string[]) => void;
}) {
  const free = () => {
    let n = answers.length + 1;
    while (answers.some((a) => a.id === `answer-${n}`)) n++;
    return `answer-${n}`;
  };
  return (
    <ul className="grid gap-1">
      {answers.map((answer, i) => (
        <li key={answer.id} className="flex flex-wrap items-center gap-2">
          <input
            aria-label={`Answer ${i + 1}`}
            className="min-h-11 w-64"
            maxLength={40}
            value={answer.label}
            onChange={(e) =>
              onChange(
                answers.map((a) => (a.id === answer.id ? { ...a, label: e.target.value } : a)),
                right,
              )
            }
          />
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              checked={right.includes(answer.id)}
              onChange={(e) =>
                onChange(
                  answers,
                  e.target.checked ? [...right, answer.id] : right.filter((r) => r !== answer.id),
                )
              }
            />
            a good set has it
          </label>
          <IconButton
            label={`Take answer ${i + 1} out`}
            disabled={answers.length <= 2}
            onClick={() =>
              onChange(
                answers.filter((a) => a.id !== answer.id),
                right.filter((r) => r !== answer.id),
              )
            }
          >
            <X aria-hidden className="size-4" />
          </IconButton>
        </li>
      ))}
      {answers.length < MOST_ANSWERS && (
        <li>
          <Button weight="quiet" onClick={() => onChange([...answers, { id: free(), label: "" }], right)}>
            <Plus aria-hidden className="size-4" /> Another answer
          </Button>
        </li>
      )}
    </ul>
  );
}
