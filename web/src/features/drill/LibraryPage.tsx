import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Drill } from "@/api/types";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Failed, Loading, Note } from "@/ui/Notice";
import { DrillPose } from "../golfer/DrillPose";
import type { Motion } from "../golfer/motion";
import { LibraryFiles } from "./LibraryFiles";
import { SharedDrills } from "./SharedDrills";
import { type DrillFilter, filtered, NO_FILTER, NO_KIT } from "./filter";
import { Title } from "@/ui/Title";

/** A drill with more faults than this serves them all. */
const MANY = 8;

/** All drills, narrowed down by what a coach needs; the address holds the filter. */
export default function LibraryPage() {
  const [params, setParams] = useSearchParams();
  const hand = params.get("hand") === "left" ? "left" : "right";
  const catalogue = useCatalogue(hand);
  const poses = useQuery(queries.poses(hand));
  if (catalogue.isPending) return <Loading />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  const filter = Object.fromEntries(
    Object.keys(NO_FILTER).map((key) => [key, params.get(key) ?? ""]),
  ) as DrillFilter;
  const set = (key: string, value: string) =>
    setParams(
      (was) => {
        if (value) was.set(key, value);
        else was.delete(key);
        return was;
      },
      { replace: true },
    );
  const { faults, rungs, places, feedback, equipment } = catalogue.data;
  const found = filtered(catalogue.data, filter);
  const narrowed = Object.values(filter).some(Boolean);
  return (
    <div className="grid gap-5">
      <header className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <Title>Drills</Title>
        <h1>Drills</h1>
        <p className="text-soft">
          {found.length} of {Object.keys(catalogue.data.drills).length}
        </p>
        <LibraryFiles own={catalogue.data.ownDrills.length} />
        <span className="ml-auto">
          <Choice
            compact
            label="Said for"
            value={hand}
            options={[
              { id: "right", label: "Right-handed" },
              { id: "left", label: "Left-handed" },
            ]}
            onChange={(h) => set("hand", h === "right" ? "" : h)}
          />
        </span>
      </header>
      {catalogue.data.setAside.length > 0 && <SetAside list={catalogue.data.setAside} />}
      <search className="flex flex-wrap gap-3">
        <input
          aria-label="Search the drills"
          placeholder="Search"
          className="min-h-11 w-44"
          value={filter.text}
          onChange={(e) => set("text", e.target.value)}
        />
        <Pick label="Any fault" value={filter.fault} options={faults} onPick={(v) => set("fault", v)} />
        <Pick label="Any rung" value={filter.rung} options={rungs} onPick={(v) => set("rung", v)} />
        <Pick label="Any place" value={filter.place} options={places} onPick={(v) => set("place", v)} />
        <Pick
          label="Any feedback"
          value={filter.feedback}
          options={feedback}
          onPick={(v) => set("feedback", v)}
        />
        <Pick
          label="Any kit"
          value={filter.kit}
          options={[{ id: NO_KIT, label: "Nothing needed" }, ...equipment]}
          onPick={(v) => set("kit", v)}
        />
        {narrowed && (
          <button
            type="button"
            className="hover:bg-tint min-h-11 rounded-md px-3 font-semibold"
            onClick={() => setParams(hand === "left" ? { hand } : {}, { replace: true })}
          >
            Show all
          </button>
        )}
      </search>
      {found.length === 0 ? (
        <p className="text-soft">No drill has all of this. Take one condition away.</p>
      ) : (
        <ul className="grid gap-x-8 sm:grid-cols-2 xl:grid-cols-3">
          {found.map((drill) => (
            <DrillRow
              key={drill.id}
              drill={drill}
              pose={poses.data?.[drill.id]}
              catalogue={catalogue.data}
              hand={hand}
            />
          ))}
        </ul>
      )}
      <SharedDrills />
    </div>
  );
}

/** Drills of the coach's own that cannot be read: nothing new is planned with them. */
function SetAside({ list }: { list: Catalogue["setAside"] }) {
  const client = useQueryClient();
  const remove = useMutation({
    mutationFn: (id: string) => api.delete(`/api/drills/own/${id}?anyway=true`),
    onSuccess: () => client.invalidateQueries({ queryKey: ["catalogue"] }),
  });
  return (
    <Note tone="warn">
      <p>
        {list.length === 1 ? "One drill of yours" : `${list.length} drills of yours`} cannot be read and
        {list.length === 1 ? " is" : " are"} left out. Take a file with {list.length === 1 ? "it" : "them"} in
        again, or remove {list.length === 1 ? "it" : "them"}.
      </p>
      <ul>
        {list.map((drill) => (
          <li key={drill.id} className="flex flex-wrap items-center gap-3">
            <strong>{drill.id}</strong>
            <span className="text-soft text-sm">{drill.why.slice(0, 160)}</span>
            <Button weight="quiet" disabled={remove.isPending} onClick={() => remove.mutate(drill.id)}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
      {remove.isError && <Failed error={remove.error} />}
    </Note>
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
  options: { id: string; label: string }[];
  onPick: (id: string) => void;
}) {
  return (
    <select aria-label={label} className="min-h-11" value={value} onChange={(e) => onPick(e.target.value)}>
      <option value="">{label}</option>
      {options.map((o) => (
        <option key={o.id} value={o.id}>
          {o.label}
        </option>
      ))}
    </select>
  );
}

function DrillRow({
  drill,
  pose,
  catalogue,
  hand,
}: {
  drill: Drill;
  pose: Motion | undefined;
  catalogue: Catalogue;
  hand: "left" | "right";
}) {
  const kit = drill.kit.map((k) => catalogue.equipment.find((e) => e.id === k)?.label.toLowerCase() ?? k);
  return (
    <li className="border-line border-b">
      <Link
        to={`/drills/${drill.id}${hand === "left" ? "?hand=left" : ""}`}
        className="hover:bg-tint grid grid-cols-[6.5rem_1fr] items-center gap-3 py-2 no-underline"
      >
        <DrillPose drill={drill} pose={pose} hand={hand} />
        <span className="grid content-start">
          <span className="font-serif text-lg leading-tight font-semibold">{drill.name}</span>
          <span className="leading-snug">{worksOn(drill, catalogue)}</span>
          <span className="text-soft text-sm">
            {catalogue.ownDrills.includes(drill.id) && <strong>yours · </strong>}
            {span(drill, catalogue)} · {kit.length > 0 ? kit.join(", ") : "no kit"}
          </span>
        </span>
      </Link>
    </li>
  );
}

/** What it works on, else what it helps with. */
function worksOn(drill: Drill, catalogue: Catalogue): string {
  const faults = drill.main.length > 0 ? drill.main : drill.helps;
  if (faults.length > MANY) return "every fault, near the game";
  return faults.map((id) => catalogue.faults.find((f) => f.id === id)?.label.toLowerCase() ?? id).join(", ");
}

/** From which rung to which. */
export function span(drill: Drill, catalogue: Catalogue): string {
  const covered = catalogue.rungs.filter((r) => r.id in drill.variations).map((r) => r.label.toLowerCase());
  return covered.length > 1 ? `${covered[0]} to ${covered.at(-1)}` : (covered[0] ?? "");
}
