import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { api, Problem } from "@/api/client";
import { same } from "@/api/merge";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, DrillSource } from "@/api/types";
import { AskBeforeLeaving, SAVED } from "@/ui/AskBeforeLeaving";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Failed, Loading } from "@/ui/Notice";
import { DiagramFields } from "./DiagramFields";
import { HalfStepFields } from "./HalfStepFields";
import { MovementFields } from "./MovementFields";
import { NoticeFields } from "./NoticeFields";
import { covered, idFor, NEW_DRILL, problemsByField, withRungs } from "./drillForm";
import { type Change, Checks, type Option, Pick } from "./fields";
import { Title } from "@/ui/Title";

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

type TextField =
  "setUp" | "do" | "feel" | "good" | "mistake" | "fix" | "onPurpose" | "easier" | "harder" | "caution";
const TEXTS: { field: TextField; label: string; optional?: boolean }[] = [
  { field: "setUp", label: "Set-up" },
  { field: "do", label: "Do" },
  { field: "feel", label: "Feel" },
  { field: "good", label: "A good rep" },
  { field: "mistake", label: "Usual mistake" },
  { field: "fix", label: "What helps against it", optional: true },
  {
    field: "onPurpose",
    label: "Wrong on purpose: the mistake as it is safe to make, if it is",
    optional: true,
  },
  { field: "easier", label: "Easier" },
  { field: "harder", label: "Harder" },
  { field: "caution", label: "Caution, if there is one", optional: true },
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
      navigate(`/drills/${source.id}`, SAVED);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate({ ...drill, id: editing ?? idFor(drill.name, catalogue) });
  };
  const wrong = save.error instanceof Problem ? problemsByField(save.error.fields) : {};
  const rungs = covered(drill, catalogue);
  const choices = catalogue.questions.flatMap((q) => q.choices);
  const others = Object.values(catalogue.drills)
    .filter((d) => d.id !== editing)
    .map((d) => ({ id: d.id, label: d.name }));
  return (
    <form onSubmit={submit} className="grid gap-6">
      <AskBeforeLeaving when={!same(drill, begun)} />
      <header className="flex flex-wrap items-center gap-4">
        <Title>{editing ? `Change: ${begun.name}` : "A drill of your own"}</Title>
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
          {TEXTS.map(({ field, label, optional }) => (
            <Field key={field} label={label} error={wrong[field]}>
              {(p) => (
                <textarea
                  {...p}
                  required={!optional}
                  rows={2}
                  maxLength={600}
                  value={drill[field] ?? ""}
                  onChange={(e) => change({ [field]: e.target.value })}
                />
              )}
            </Field>
          ))}
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
          <NoticeFields drill={drill} catalogue={catalogue} change={change} error={wrong.notice} />
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
          {rungs.map((rung) => (
            <HalfStepFields
              key={rung}
              rung={catalogue.rungs.find((r) => r.id === rung)!}
              drill={drill}
              change={change}
              error={Object.entries(wrong).find(([at]) => at.startsWith(`halfSteps.${rung}`))?.[1]}
            />
          ))}
        </div>
        <div className="grid content-start gap-5">
          <DiagramFields drill={drill} change={change} />
          <MovementFields drill={drill} catalogue={catalogue} change={change} error={wrong.movement} />
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
          <Many label="Not in" field="notIn" {...{ drill, change, wrong }} options={catalogue.shoes} />
          <Many label="Only on" field="onlyOn" {...{ drill, change, wrong }} options={catalogue.grounds} />
          <Many
            label="First choice for"
            field="firstFor"
            {...{ drill, change, wrong }}
            // The first answer stands there until a coach gives another, and asks for nothing.
            options={catalogue.questions.flatMap((q) => q.choices.slice(1))}
          />
          <Many
            label="First choice of the school"
            field="firstForSchools"
            {...{ drill, change, wrong }}
            options={catalogue.schools}
          />
          <Many
            label="First choice where a lesson shows"
            field="firstForSigns"
            {...{ drill, change, wrong }}
            options={catalogue.signs}
          />
          <Many
            label="A set of these, in this order"
            field="moves"
            {...{ drill, change, wrong }}
            options={others}
          />
          <Many label="Goes together with" field="combines" {...{ drill, change, wrong }} options={others} />
          <Many label="Comes after" field="after" {...{ drill, change, wrong }} options={others} />
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
  | "notIn"
  | "onlyOn"
  | "firstFor"
  | "firstForSchools"
  | "firstForSigns"
  | "moves"
  | "combines"
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
      <div className="max-h-72 overflow-y-auto pb-2">
        <Checks
          named={false}
          label={label}
          options={options}
          chosen={chosen}
          onChange={(next) => change({ [field]: next })}
        />
      </div>
    </details>
  );
}
