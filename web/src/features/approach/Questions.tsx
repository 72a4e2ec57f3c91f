import { useId } from "react";
import type { Catalogue } from "@/api/types";
import { ShareStrip } from "../feet/ShareStrip";
import { SchoolGolfer } from "../golfer/lazily";

type Answers = Record<string, string>;
type Option = { id: string; label: string; why: string };

/** Every question with its options and the reason for each. */
export function Questions({
  catalogue,
  answers,
  usual,
  onAnswer,
}: {
  catalogue: Catalogue;
  answers: Answers;
  /** The coach's own answers, when these are a student's exceptions. */
  usual?: Answers;
  onAnswer: (question: string, answer: string | undefined) => void;
}) {
  const pressure = answers.pressure ?? usual?.pressure;
  const school = catalogue.schools.find((s) => s.id === pressure) ?? catalogue.schools[0]!;
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <div className="grid gap-4 lg:col-span-2 lg:grid-cols-2 lg:gap-10">
        <Question
          id="pressure"
          label="Pressure school"
          options={catalogue.schools}
          {...{ answers, usual, onAnswer }}
        />
        <figure>
          <figcaption className="mb-1">
            Load wanted under the trail foot: {school.label.toLowerCase()}
          </figcaption>
          <ShareStrip checkpoints={catalogue.checkpoints} corridors={school.corridors} readings={[]} />
          <div className="mx-auto max-w-80">
            <SchoolGolfer school={school.id} label={school.label} />
          </div>
        </figure>
      </div>
      {catalogue.questions.map((q) => (
        <Question
          key={q.id}
          id={q.id}
          label={q.label}
          options={q.choices}
          {...{ answers, usual, onAnswer }}
        />
      ))}
    </div>
  );
}

function Question({
  id,
  label,
  options,
  answers,
  usual,
  onAnswer,
}: {
  id: string;
  label: string;
  options: Option[];
  answers: Answers;
  usual?: Answers;
  onAnswer: (question: string, answer: string | undefined) => void;
}) {
  const name = useId();
  const own = options.find((o) => o.id === usual?.[id]);
  return (
    <fieldset className="grid content-start gap-1">
      <legend className="mb-1 font-serif text-lg font-semibold">{label}</legend>
      {usual && (
        <Radio
          name={name}
          checked={answers[id] === undefined}
          label={`As I teach: ${own?.label.toLowerCase() ?? ""}`}
          why=""
          onChoose={() => onAnswer(id, undefined)}
        />
      )}
      {options
        .filter((o) => o.id !== own?.id || answers[id] === o.id)
        .map((o) => (
          <Radio
            key={o.id}
            name={name}
            checked={answers[id] === o.id}
            label={o.label}
            why={o.why}
            onChoose={() => onAnswer(id, o.id)}
          />
        ))}
    </fieldset>
  );
}

function Radio({
  name,
  checked,
  label,
  why,
  onChoose,
}: {
  name: string;
  checked: boolean;
  label: string;
  why: string;
  onChoose: () => void;
}) {
  return (
    <label className="border-line has-checked:border-l-ink has-checked:bg-sheet flex min-h-11 cursor-pointer items-baseline gap-3 border-b border-l-4 border-l-transparent py-1.5 pl-3">
      <input type="radio" className="shrink-0" name={name} checked={checked} onChange={onChoose} />
      <span>
        <span className="font-semibold">{label}</span>
        {why && <span className="text-soft block text-sm leading-snug">{why}</span>}
      </span>
    </label>
  );
}
