import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Catalogue, DrillSource, MovementSource, Wire } from "@/api/types";
import { Failed } from "@/ui/Notice";
import { GolferView } from "../golfer/GolferView";
import { type Change, Checks, Pick } from "./fields";
import { MovementTable } from "./MovementTable";
import { covered } from "./drillForm";

const named = (ids: string[]) => ids.map((id) => ({ id, label: id.replaceAll("-", " ") }));
const STANCES = named(["usual", "narrow", "together", "trail-side", "staggered"]);
const PAUSES = ["0", "0.5", "1", "2", "3"].map((id) => ({ id, label: id === "0" ? "none" : `${id} s` }));
const HANDS = [{ id: "", label: "as usual" }, ...named(["club", "crossed", "stick", "hanging", "on-hips"])];
const LENGTHS = [
  { id: "", label: "as usual" },
  ...["30", "50", "75", "100"].map((id) => ({ id, label: `${id} %` })),
];
const THINGS = named([
  "ball",
  "rod",
  "disc",
  "half-ball",
  "wedge",
  "stick",
  "squeaker",
  "mark",
  "board",
  "chair",
  "glove",
]);
/** When a foot steps. */
const STEPS = [
  { id: "address trigger", label: "before it begins" },
  { id: "trigger top", label: "going back" },
  { id: "top impact", label: "coming down" },
  { id: "impact finish", label: "after the ball" },
];
const FAR = [-40, -30, -20, -10, 10, 20, 30, 40].map((cm) => ({
  id: String(cm),
  label: `${Math.abs(cm)} cm ${cm < 0 ? "away" : "towards the target"}`,
}));
const FOOT = [{ id: "", label: "none" }, ...named(["lead", "trail"])];
const FIRST_STEP = { foot: "lead", from: "top", to: "impact", along: 10, in: 0 };
const STRENGTHS = [
  { id: "0.4", label: "a little" },
  { id: "0.7", label: "clearly" },
  { id: "1", label: "fully" },
];
/** As what a form shows, where a file has said something else. */
const orOther = (options: { id: string; label: string }[], value: string) =>
  options.some((o) => o.id === value) ? options : [...options, { id: value, label: `${value} (as it is)` }];
const SPOTS = named(
  ["trail", "lead"]
    .flatMap((foot) => ["toe", "heel", "inner", "outer", "sole"].map((part) => `${foot}-${part}`))
    .concat(
      "trail-ankle",
      "thigh",
      "hip",
      "belt",
      "between",
      "diagonal",
      "toe-line",
      "fence",
      "pocket",
      "seat",
    ),
);

/** How the golfer does it: taken from a drill that moves alike, then set; with the golfer doing it beside. */
export function MovementFields({
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
  const client = useQueryClient();
  const rungs = covered(drill, catalogue);
  const [at, setAt] = useState(rungs[0] ?? "");
  const rung = rungs.includes(at) ? at : (rungs[0] ?? "");
  const { movement } = drill;
  const set = (part: Partial<MovementSource>) => change({ movement: { ...movement, ...part } });
  const take = async (id: string) => {
    if (!id) return change({ movement: undefined });
    const [like] = await client.fetchQuery(queries.drillFile(id));
    change({ movement: like?.movement });
  };
  const form = movement?.on?.[rung] ?? {};
  const onRung = (part: typeof form) => {
    const own = Object.fromEntries(Object.entries({ ...form, ...part }).filter(([, v]) => v !== undefined));
    set({ on: { ...movement?.on, [rung]: own } });
  };
  // Where nothing else is said, the golfer has what is drawn with the soles.
  const there = movement?.things ?? drill.diagram?.props ?? {};
  const things = Object.entries(there);
  const [spot, kind] = things[0] ?? ["", ""];
  const thing = (where: string, what: string) =>
    set({ things: { ...(what ? { [where]: what } : {}), ...Object.fromEntries(things.slice(1)) } });
  const [step, ...further] = movement?.steps ?? [];
  const steps = (first: typeof step) => set({ steps: [...(first ? [first] : []), ...further] });
  const moving = Object.values(catalogue.drills).filter((d) => d.moving);
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-1 font-serif text-lg font-semibold">Movement</legend>
      <Pick
        label={movement ? "Begin again from" : "Moves like"}
        value={movement ? "?" : ""}
        options={[
          { id: "", label: movement ? "no movement, soles alone" : "no other: soles alone" },
          ...moving.map((d) => ({ id: d.id, label: d.name })),
        ].concat(movement ? [{ id: "?", label: "as it is set below" }] : [])}
        onPick={(id) => id !== "?" && void take(id)}
      />
      {movement && (
        <>
          <div className="flex flex-wrap gap-3">
            <Pick
              label="Feet at first"
              value={movement.stance ?? "usual"}
              options={STANCES}
              onPick={(stance) => set({ stance })}
            />
            {(["top", "finish"] as const).map((moment) => (
              <Pick
                key={moment}
                label={`Held at the ${moment}`}
                value={String(movement.pauses?.[moment] ?? 0)}
                options={PAUSES}
                onPick={(s) => {
                  const pauses = { ...movement.pauses, [moment]: Number(s) };
                  if (!pauses[moment]) delete pauses[moment];
                  set({ pauses });
                }}
              />
            ))}
            <Pick
              label="With"
              value={kind}
              options={[{ id: "", label: "nothing" }, ...THINGS]}
              onPick={(k) => thing(spot || "trail-sole", k)}
            />
            {kind && <Pick label="Where" value={spot} options={SPOTS} onPick={(s) => thing(s, kind)} />}
          </div>
          <div className="flex flex-wrap items-end gap-3">
            {rungs.length > 1 && (
              <Pick
                label="On"
                value={rung}
                options={catalogue.rungs.filter((r) => rungs.includes(r.id))}
                onPick={setAt}
              />
            )}
            <Pick
              label="Hands"
              value={form.hands ?? ""}
              options={HANDS}
              onPick={(h) => onRung({ hands: h || undefined })}
            />
            <Pick
              label="Length"
              value={form.length === undefined ? "" : String(form.length)}
              options={LENGTHS}
              onPick={(l) => onRung({ length: l ? Number(l) : undefined })}
            />
          </div>
          <div className="flex flex-wrap items-end gap-3">
            <Pick
              label="Foot that steps"
              value={step?.foot ?? ""}
              options={FOOT}
              onPick={(foot) => steps(foot ? { ...(step ?? FIRST_STEP), foot } : undefined)}
            />
            {step && (
              <>
                <Pick
                  label="When"
                  value={`${step.from} ${step.to}`}
                  options={orOther(STEPS, `${step.from} ${step.to}`)}
                  onPick={(when) => {
                    const [from, to] = when.split(" ") as [string, string];
                    steps({ ...step, from, to });
                  }}
                />
                <Pick
                  label="How far"
                  value={String(step.along)}
                  options={orOther(FAR, String(step.along))}
                  onPick={(cm) => steps({ ...step, along: Number(cm) })}
                />
              </>
            )}
            <Pick
              label="Usual mistake"
              value={movement.mistake?.fault ?? ""}
              options={[
                { id: "", label: movement.mistake?.set ? "as in the file" : "not shown" },
                ...catalogue.faults,
              ]}
              onPick={(fault) => {
                const mistake = { ...movement.mistake, fault };
                if (!fault) delete (mistake as { fault?: string }).fault;
                set({ mistake: fault || movement.mistake?.set ? mistake : undefined });
              }}
            />
            {movement.mistake?.fault && (
              <Pick
                label="How far it goes"
                value={String(movement.mistake.strength ?? 1)}
                options={orOther(STRENGTHS, String(movement.mistake.strength ?? 1))}
                onPick={(s) => set({ mistake: { ...movement.mistake, strength: Number(s) } })}
              />
            )}
          </div>
          <Preview movement={{ ...movement, things: there }} rung={rung} speed={drill.speeds?.[rung]} />
          <MovementTable set={movement.set} catalogue={catalogue} onSet={(to) => set({ set: to })} />
          {error && (
            <p role="alert" className="text-alert">
              {error}
            </p>
          )}
        </>
      )}
    </fieldset>
  );
}

/** The golfer does what is set, as it is set. */
function Preview({ movement, rung, speed }: { movement: MovementSource; rung: string; speed?: number }) {
  const [shown, setShown] = useState<string[]>([]);
  const mistake = shown.includes("mistake") && !!movement.mistake;
  const preview = useQuery({
    queryKey: ["movement-preview", movement, rung, speed, mistake],
    queryFn: () =>
      api.post<Wire["MotionView"]>(
        `/api/motions/preview?rung=${rung}&mistake=${mistake}${speed ? `&speed=${speed}` : ""}`,
        movement,
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
  });
  return (
    <div className="grid max-w-sm gap-2">
      {movement.mistake && (
        <Checks
          label="Shown"
          named={false}
          options={[{ id: "mistake", label: "The usual mistake" }]}
          chosen={shown}
          onChange={setShown}
        />
      )}
      {preview.isError && <Failed error={preview.error} again={() => preview.refetch()} />}
      {preview.data && (
        <GolferView
          motion={preview.data}
          hand="right"
          said="As it is set."
          mark={mistake ? preview.data.look : []}
        />
      )}
    </div>
  );
}
