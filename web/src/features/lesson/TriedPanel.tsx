import { useQuery } from "@tanstack/react-query";
import { Plus, Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Lesson, LessonEntry, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import { newId } from "@/api/newId";
import { inOrder, told, verdictSaid } from "../progress/verdicts";
import { ShotsPanel } from "../shots/ShotsPanel";
import {
  asMoment,
  MOST_TRIES,
  ofMoment,
  type Try,
  tryChanged,
  triesOf,
  withoutTry,
  withTry,
} from "./changes";
import { KeyedBalls } from "./KeyedBalls";
import { LadderPicture, stageName } from "./LadderPicture";
import { LessonClimb } from "./LessonClimb";
import { ReadingsForm } from "./ReadingsForm";
import { SameSwings } from "./SameSwings";
import { TallyKeys } from "./TallyKeys";

type ChangeEntry = (change: (entry: LessonEntry) => LessonEntry) => void;
const NAME_LENGTH = 8;

/** What was tried between the first balls and the last, in order, each with what it brought. */
export function TriedPanel({
  lesson,
  entry,
  saved,
  catalogue,
  change,
}: {
  lesson: Lesson;
  entry: LessonEntry;
  saved: boolean;
  catalogue: Catalogue;
  change: ChangeEntry;
}) {
  const tries = triesOf(entry);
  const stages = useQuery({ ...queries.tried(lesson.id), enabled: saved && tries.length > 0 });
  const full = tries.length >= MOST_TRIES;
  const offered = drillsFor(lesson, catalogue);
  const add = (drill?: string) => change((e) => withTry(e, newId().slice(0, NAME_LENGTH), drill));
  return (
    <div className="grid gap-6">
      <LessonClimb lesson={lesson} entry={entry} saved={saved} catalogue={catalogue} change={change} />
      <section aria-labelledby="tried" className="grid gap-4">
        <h2 id="tried">Tried in this lesson</h2>
        {tries.length === 0 && (
          <p className="text-soft">
            A few balls after each move show which of them brought what. The first balls are what each is held
            against.
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          {offered.slice(0, 4).map((drill) => (
            <Button key={drill.id} disabled={full} onClick={() => add(drill.id)}>
              <Plus aria-hidden className="size-4" /> {drill.name}
            </Button>
          ))}
          <Button weight="quiet" disabled={full} onClick={() => add()}>
            <Plus aria-hidden className="size-4" /> Something else
          </Button>
        </div>
        <ol className="grid gap-3">
          {tries
            .map(({ name, tried }, i) => (
              <li key={name} className="border-strong-line border-l-4 pl-4">
                <Stage
                  open={i === tries.length - 1}
                  title={stageName(name, entry, catalogue)}
                  solid={stages.data?.rungs.find((r) => r.stage === name)}
                >
                  <TryFields
                    at={i + 1}
                    tried={tried}
                    offered={offered}
                    catalogue={catalogue}
                    hand={lesson.handedness as Hand}
                    onChange={(part) => change((e) => tryChanged(e, name, part))}
                    onRemove={() => change((e) => withoutTry(e, name))}
                  />
                  {saved && (
                    <details>
                      <summary className="text-soft w-fit cursor-pointer py-1">
                        Measured balls from a file
                      </summary>
                      <ShotsPanel lessonId={lesson.id} studentId={lesson.studentId} moment={name} />
                    </details>
                  )}
                  <Brought view={stages.data?.tried[i]} />
                </Stage>
              </li>
            ))
            .reverse()}
        </ol>
      </section>
      {stages.data && <LadderPicture stages={stages.data} entry={entry} catalogue={catalogue} />}
    </div>
  );
}

/** The last stage lies open; of those before it stands what it was and how it was struck, until one looks. */
function Stage({
  open,
  title,
  solid,
  children,
}: {
  open: boolean;
  title: string;
  solid?: Wire["LadderRung"];
  children: ReactNode;
}) {
  return (
    <details open={open}>
      <summary className="min-h-11 cursor-pointer content-center">
        <strong>{title}</strong>
        {solid && solid.struck > 0 && (
          <span className="text-soft">
            {" "}
            · {solid.solid} of {solid.struck} solid
          </span>
        )}
      </summary>
      <div className="grid gap-3 pb-2">{children}</div>
    </details>
  );
}

/** Drills that work on what the lesson is about, those that work directly first. */
function drillsFor(lesson: Lesson, catalogue: Catalogue) {
  // While nothing is decided nor likely, what leads so far.
  const faults =
    [lesson.focus, lesson.diagnosis.focus].find((f) => f.length > 0) ??
    lesson.diagnosis.faults.slice(0, 1).map((f) => f.id);
  const all = Object.values(catalogue.drills);
  const main = all.filter((d) => d.main.some((f) => faults.includes(f)));
  const helps = all.filter((d) => !main.includes(d) && d.helps.some((f) => faults.includes(f)));
  return [...main, ...helps];
}

function TryFields({
  at,
  tried,
  offered,
  catalogue,
  hand,
  onChange,
  onRemove,
}: {
  at: number;
  tried: Try;
  offered: { id: string; name: string }[];
  catalogue: Catalogue;
  hand: Hand;
  onChange: (part: Partial<Try>) => void;
  onRemove: () => void;
}) {
  const others = Object.values(catalogue.drills).filter((d) => !offered.some((o) => o.id === d.id));
  const drill = tried.drill ? catalogue.drills[tried.drill] : undefined;
  const counted: ChangeEntry = (change) => onChange(ofMoment(change(asMoment(tried))));
  return (
    <>
      <div className="flex flex-wrap items-center gap-2">
        <select
          aria-label={`What was tried, ${at}`}
          className="min-h-11 w-44"
          value={tried.drill ?? ""}
          onChange={(e) => onChange({ drill: e.target.value || undefined, same: [] })}
        >
          <option value="">in own words</option>
          {[...offered, ...others].map((d) => (
            <option key={d.id} value={d.id}>
              {d.name}
            </option>
          ))}
        </select>
        <input
          aria-label={`In own words, ${at}`}
          placeholder={tried.drill ? "a word about it" : "what was tried"}
          className="min-h-11 min-w-28 flex-1"
          maxLength={200}
          value={tried.words}
          onChange={(e) => onChange({ words: e.target.value })}
        />
        <Kind
          label="Club"
          options={catalogue.practice.clubs}
          value={tried.club}
          onPick={(club) => onChange({ club })}
        />
        <Kind
          label="Swing length"
          options={catalogue.practice.swingLengths}
          value={tried.length}
          onPick={(length) => onChange({ length })}
        />
        <IconButton label={`Take ${at} out`} onClick={onRemove}>
          <Trash2 aria-hidden className="size-5" />
        </IconButton>
      </div>
      <TallyKeys entry={asMoment(tried)} moment="before" catalogue={catalogue} change={counted} />
      <KeyedBalls
        entry={asMoment(tried)}
        moment="before"
        hand={hand}
        catalogue={catalogue}
        change={counted}
      />
      <details open={tried.readings.length > 0}>
        <summary className="text-soft w-fit cursor-pointer py-1">Readings</summary>
        <ReadingsForm entry={asMoment(tried)} moment="before" catalogue={catalogue} change={counted} />
      </details>
      {drill?.notice && (
        <SameSwings
          notice={drill.notice}
          scales={catalogue.scales}
          same={tried.same}
          onChange={(same) => onChange({ same })}
        />
      )}
    </>
  );
}

function Kind({
  label,
  options,
  value,
  onPick,
}: {
  label: string;
  options: { id: string; label: string }[];
  value?: string | null;
  onPick: (id: string | undefined) => void;
}) {
  return (
    <select
      aria-label={label}
      className="min-h-11"
      value={value ?? ""}
      onChange={(e) => onPick(e.target.value || undefined)}
    >
      <option value="">{label.toLowerCase()}</option>
      {options.map((o) => (
        <option key={o.id} value={o.id}>
          {o.label}
        </option>
      ))}
    </select>
  );
}

/** What a stage brought against the first balls; what cannot be told yet is said in one line. */
function Brought({ view }: { view?: Wire["TriedView"] }) {
  if (!view || view.fromFirst.length === 0) return null;
  const telling = inOrder(view.fromFirst.filter((c) => told(c.comparison)));
  const open = view.fromFirst.filter((c) => c.concerns && !told(c.comparison));
  return (
    <ul className="grid gap-0.5">
      {telling.map((c) => (
        <li key={c.id}>
          <strong>
            {c.label} {verdictSaid(c.comparison)}
          </strong>
          <span className="text-soft">
            {" "}
            than the first: {c.then}, then {c.now}
          </span>
        </li>
      ))}
      {open.map((c) => (
        <li key={c.id} className="text-soft">
          {c.label}: {c.then}, then {c.now}; cannot be told yet
          {c.comparison.toTell != null && `, ${c.comparison.toTell} more ${c.tries} each would tell`}
        </li>
      ))}
      {telling.length + open.length === 0 && (
        <li className="text-soft">Nothing yet that could be told from chance.</li>
      )}
    </ul>
  );
}
