import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { api, Problem } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue } from "@/api/types";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Failed, Loading } from "@/ui/Notice";
import { DrillDiagram } from "./DrillDiagram";
import {
  covered,
  type DrillSource,
  idFor,
  NEW_DRILL,
  pictured,
  problemsByField,
  withRungs,
} from "./drillForm";

type Option = { id: string; label: string };
type Change = (part: Partial<DrillSource>) => void;

/** Writing, copying and changing a drill of one's own. */
export default function DrillFormPage() {
  const id = useParams().id;
  const [params] = useSearchParams();
  const from = id ?? params.get("copy") ?? undefined;
  const catalogue = useCatalogue("right");
  const source = useQuery({ ...queries.drillFile(from ?? ""), enabled: !!from, staleTime: 0 });
  if (catalogue.isPending || (from && source.isPending)) return <Loading />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  if (source.isError) return <Failed error={source.error} again={() => source.refetch()} />;
  const begun = source.data?.[0] ?? NEW_DRILL;
  return (
    <DrillForm
      key={from}
      begun={id ? begun : { ...begun, id: "", name: from ? `${begun.name}, my way` : "" }}
      editing={id}
      catalogue={catalogue.data}
    />
  );
}

const TEXTS: { field: "setUp" | "do" | "feel" | "good" | "mistake" | "easier" | "harder"; label: string }[] =
  [
    { field: "setUp", label: "Set-up" },
    { field: "do", label: "Do" },
    { field: "feel", label: "Feel" },
    { field: "good", label: "A good rep" },
    { field: "mistake", label: "Usual mistake, and what to say then" },
    { field: "easier", label: "Easier" },
    { field: "harder", label: "Harder" },
  ];
const PACES: Option[] = [
  { id: "BODY", label: "body, 4 s a rep" },
  { id: "SLOW_CLUB", label: "slow club, 8 s" },
  { id: "STEP", label: "step, 10 s" },
];

function DrillForm({
  begun,
  editing,
  catalogue,
}: {
  begun: DrillSource;
  editing: string | undefined;
  catalogue: Catalogue;
}) {
  const [drill, setDrill] = useState(begun);
  const client = useQueryClient();
  const navigate = useNavigate();
  const change: Change = (part) => setDrill((was) => ({ ...was, ...part }));
  const save = useMutation({
    mutationFn: (source: DrillSource) => api.post("/api/drills/own", [source]),
    onSuccess: async (_, source) => {
      await client.invalidateQueries({ queryKey: ["catalogue"] });
      navigate(`/drills/${source.id}`);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate({ ...drill, id: editing ?? idFor(drill.name, catalogue) });
  };
  const wrong = save.error instanceof Problem ? problemsByField(save.error.fields) : {};
  const rungs = covered(drill, catalogue);
  const choices = catalogue.questions.flatMap((q) => q.choices);
  return (
    <form onSubmit={submit} className="grid gap-6">
      <header className="flex flex-wrap items-center gap-4">
        <h1>{editing ? `Change: ${begun.name}` : "A drill of your own"}</h1>
        <p className="text-soft">
          Write {"{lead}"} and {"{trail}"} for the sides; each student reads their own left and right.
        </p>
        <Button type="submit" weight="main" className="ml-auto" disabled={save.isPending}>
          Keep it
        </Button>
      </header>
      {save.isError && <Failed error={save.error} />}
      <div className="grid gap-8 lg:grid-cols-[1fr_22rem]">
        <div className="grid content-start gap-4">
          <Field label="Name" error={wrong.name}>
            {(p) => (
              <input
                {...p}
                required
                maxLength={60}
                value={drill.name}
                onChange={(e) => change({ name: e.target.value })}
              />
            )}
          </Field>
          <Field label="In mind: one thought" error={wrong.cue}>
            {(p) => (
              <input
                {...p}
                required
                maxLength={40}
                value={drill.cue}
                onChange={(e) => change({ cue: e.target.value })}
              />
            )}
          </Field>
          {TEXTS.map(({ field, label }) => (
            <Field key={field} label={label} error={wrong[field]}>
              {(p) => (
                <textarea
                  {...p}
                  required
                  rows={2}
                  maxLength={600}
                  value={drill[field]}
                  onChange={(e) => change({ [field]: e.target.value })}
                />
              )}
            </Field>
          ))}
          <Field label="Caution, if there is one" error={wrong.caution}>
            {(p) => (
              <textarea
                {...p}
                rows={2}
                maxLength={600}
                value={drill.caution ?? ""}
                onChange={(e) => change({ caution: e.target.value })}
              />
            )}
          </Field>
          <div className="flex flex-wrap gap-4">
            <Pick
              label="Lowest rung"
              value={drill.rungs[0] ?? ""}
              options={catalogue.rungs}
              onPick={(low) => setDrill(withRungs(drill, low, drill.rungs.at(-1) ?? low, catalogue))}
            />
            <Pick
              label="Highest rung"
              value={drill.rungs.at(-1) ?? ""}
              options={catalogue.rungs}
              onPick={(high) => setDrill(withRungs(drill, drill.rungs[0] ?? high, high, catalogue))}
            />
            <Pick label="Pace" value={drill.pace} options={PACES} onPick={(pace) => change({ pace })} />
          </div>
          {rungs.map((rung, i) => (
            <Field
              key={rung}
              label={`On the rung ${catalogue.rungs.find((r) => r.id === rung)?.label.toLowerCase()}`}
              error={i === 0 ? wrong.variations : undefined}
            >
              {(p) => (
                <textarea
                  {...p}
                  required
                  rows={2}
                  maxLength={600}
                  value={drill.variations[i] ?? ""}
                  onChange={(e) =>
                    change({ variations: drill.variations.map((v, j) => (j === i ? e.target.value : v)) })
                  }
                />
              )}
            </Field>
          ))}
        </div>
        <div className="grid content-start gap-5">
          <DiagramFields drill={drill} change={change} />
          <Many
            label="Works directly on"
            field="main"
            {...{ drill, change, wrong }}
            options={catalogue.faults}
          />
          <Many label="Helps with" field="helps" {...{ drill, change, wrong }} options={catalogue.faults} />
          <Many
            label="Makes worse"
            field="clashes"
            {...{ drill, change, wrong }}
            options={catalogue.faults}
          />
          <Many label="Where" field="places" {...{ drill, change, wrong }} options={catalogue.places} open />
          <Many
            label="Tells by"
            field="feedback"
            {...{ drill, change, wrong }}
            options={catalogue.feedback}
            open
          />
          <Many label="Kit" field="kit" {...{ drill, change, wrong }} options={catalogue.equipment} />
          <Many label="Goes with" field="needs" {...{ drill, change, wrong }} options={choices} />
          <Many
            label="Only in the school"
            field="schools"
            {...{ drill, change, wrong }}
            options={catalogue.schools}
          />
          <Many
            label="Not with a flagged"
            field="neverWith"
            {...{ drill, change, wrong }}
            options={catalogue.joints}
          />
          <Many
            label="At half volume with a flagged"
            field="careWith"
            {...{ drill, change, wrong }}
            options={catalogue.joints}
          />
          <Many
            label="Comes after"
            field="after"
            {...{ drill, change, wrong }}
            options={Object.values(catalogue.drills)
              .filter((d) => d.id !== editing)
              .map((d) => ({ id: d.id, label: d.name }))}
          />
        </div>
      </div>
    </form>
  );
}

type ListField =
  | "main"
  | "helps"
  | "clashes"
  | "places"
  | "feedback"
  | "kit"
  | "needs"
  | "schools"
  | "neverWith"
  | "careWith"
  | "after";

/** Any number of a list; folded away while nothing is chosen. */
function Many({
  label,
  field,
  drill,
  change,
  wrong,
  options,
  open = false,
}: {
  label: string;
  field: ListField;
  drill: DrillSource;
  change: Change;
  wrong: Record<string, string>;
  options: Option[];
  open?: boolean;
}) {
  const chosen = drill[field] ?? [];
  const names = options.filter((o) => chosen.includes(o.id)).map((o) => o.label.toLowerCase());
  return (
    <details open={open} className="border-line border-b">
      <summary className="min-h-11 cursor-pointer content-center">
        <span className="font-semibold">{label}</span>{" "}
        <span className="text-soft">{names.join(", ") || "nothing"}</span>
        {wrong[field] && <span className="text-alert block font-semibold">{wrong[field]}</span>}
      </summary>
      <fieldset className="grid max-h-72 overflow-y-auto pb-2 sm:grid-cols-2">
        <legend className="sr-only">{label}</legend>
        {options.map((o) => (
          <label key={o.id} className="flex min-h-9 items-center gap-2 leading-tight">
            <input
              type="checkbox"
              checked={chosen.includes(o.id)}
              onChange={(e) =>
                change({ [field]: e.target.checked ? [...chosen, o.id] : chosen.filter((c) => c !== o.id) })
              }
            />
            {o.label}
          </label>
        ))}
      </fieldset>
    </details>
  );
}

const FEET = ["trail", "lead"].flatMap((foot) =>
  ["toe", "heel", "inner", "outer", "sole"].map((part) => ({
    id: `${foot}-${part}`,
    label: `${foot} ${part === "inner" || part === "outer" ? `${part} edge` : part}`,
  })),
);
const SHAPES = named(["ball", "rod", "disc", "half-ball", "wedge", "stick"]);
const STANCES = named(["normal", "together", "staggered"]);
const MOVES = named([
  "none",
  "turn-trail-foot",
  "turn-body",
  "roll-in",
  "step-lead",
  "step-trail",
  "shift-lead",
  "shift-trail",
  "lift-trail-heel",
  "rock",
]);

function named(ids: string[]): Option[] {
  return ids.map((id) => ({ id, label: id.replaceAll("-", " ") }));
}

/** The picture, built from choices. */
function DiagramFields({ drill, change }: { drill: DrillSource; change: Change }) {
  const diagram = drill.diagram ?? {};
  const set = (part: Partial<NonNullable<DrillSource["diagram"]>>) =>
    change({ diagram: { ...diagram, ...part } });
  const props = diagram.props ?? {};
  const first = Object.keys(props)[0];
  // A drill may hold more props than the form shows: the others stay.
  const prop = (at: string, shape: string) => {
    const others = Object.fromEntries(
      Object.entries(props).filter(([zone]) => zone !== first && zone !== at),
    );
    set({ props: shape ? { [at]: shape, ...others } : others });
  };
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-serif text-lg font-semibold">Picture</legend>
      <div className="max-w-56">
        <DrillDiagram diagram={pictured(drill)} hand="right" title={drill.name || "this drill"} />
      </div>
      <div className="flex flex-wrap gap-3">
        <Pick
          label="Stance"
          value={diagram.stance ?? "normal"}
          options={STANCES}
          onPick={(stance) => set({ stance })}
        />
        <Pick
          label="Movement"
          value={diagram.move ?? "none"}
          options={MOVES}
          onPick={(move) => set({ move })}
        />
        <Pick
          label="Prop"
          value={first ? (props[first] ?? "") : ""}
          options={[{ id: "", label: "none" }, ...SHAPES]}
          onPick={(shape) => prop(first ?? "trail-sole", shape)}
        />
        {first && (
          <Pick
            label="Lies at"
            value={first}
            options={FEET}
            onPick={(at) => prop(at, props[first] ?? "ball")}
          />
        )}
      </div>
      <Checks
        label="Pressed"
        options={FEET}
        chosen={diagram.press ?? []}
        onChange={(press) => set({ press })}
      />
      <p className="text-soft text-sm">Drawn for a right-handed student, mirrored for a left-handed one.</p>
    </fieldset>
  );
}

function Checks({
  label,
  options,
  chosen,
  onChange,
}: {
  label: string;
  options: Option[];
  chosen: string[];
  onChange: (chosen: string[]) => void;
}) {
  return (
    <fieldset>
      <legend className="text-soft text-sm">{label}</legend>
      <div className="grid grid-cols-2">
        {options.map((o) => (
          <label key={o.id} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              checked={chosen.includes(o.id)}
              onChange={(e) =>
                onChange(e.target.checked ? [...chosen, o.id] : chosen.filter((c) => c !== o.id))
              }
            />
            {o.label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

function Pick({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: string;
  options: Option[];
  onPick: (id: string) => void;
}) {
  return (
    <label className="grid">
      <span className="text-soft text-sm">{label}</span>
      <select className="min-h-11" value={value} onChange={(e) => onPick(e.target.value)}>
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.label}
          </option>
        ))}
      </select>
    </label>
  );
}
