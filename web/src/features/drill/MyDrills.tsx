import { useQuery } from "@tanstack/react-query";
import { ArrowUp, Plus, Undo2, X } from "lucide-react";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue } from "@/api/types";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import { Failed, Loading } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";
import { DrillOffer, SmallPose } from "./DrillOffer";
import { orderOn, possibleOn, putLast, raised, useFirstChoices } from "./firstChoices";

type Rung = Catalogue["rungs"][number];

/** The drills that the coach uses first, fault by fault: a row for each rung, in its order. */
export function MyDrills({ catalogue }: { catalogue: Catalogue }) {
  const { found, choices, set, undo, canUndo, busy, error } = useFirstChoices();
  const [asked, setAsked] = useState<string>();
  const [adding, setAdding] = useState<Rung>();
  const fault = asked ?? choices[0]?.fault ?? catalogue.faults[0]!.id;
  const named = catalogue.faults.find((f) => f.id === fault)?.label.toLowerCase() ?? fault;
  const shown = choices.filter((c) => c.fault === fault);
  const poses = useQuery({
    ...queries.poses(
      "right",
      shown.flatMap((c) =>
        c.drills.filter((d) => catalogue.drills[d]?.moving).map((drill) => `${drill}:${c.rung}`),
      ),
    ),
    enabled: shown.length > 0,
  });
  if (found.isPending) return <Loading />;
  if (found.isError) return <Failed error={found.error} again={() => found.refetch()} />;
  const put = (rung: string, drills: string[]) => set([{ fault, rung, drills }]);
  const count = (id: string) => choices.filter((c) => c.fault === id).length;
  return (
    <section aria-labelledby="my-drills" className="border-line grid gap-3 border-t pt-5">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <h2 id="my-drills">My drills</h2>
        <select
          aria-label="Fault"
          className="min-h-11"
          value={fault}
          onChange={(e) => setAsked(e.target.value)}
        >
          {catalogue.faults.map((f) => (
            <option key={f.id} value={f.id}>
              {f.label}
              {count(f.id) > 0 && ` · ${count(f.id)} ${count(f.id) === 1 ? "rung" : "rungs"}`}
            </option>
          ))}
        </select>
        <IconButton label="Undo the last change of my drills" disabled={!canUndo} onClick={undo}>
          <Undo2 aria-hidden className="size-5" />
        </IconButton>
        <p className="text-soft basis-full">
          New plans take the first of these that the student can do; where a rule forbids one, the plan says
          which.
        </p>
      </div>
      {error && <Failed error={error} />}
      <table className="w-full border-collapse text-left">
        <thead className="sr-only">
          <tr>
            <th>Rung</th>
            <th>Drills in their order</th>
          </tr>
        </thead>
        <tbody>
          {catalogue.rungs.map((rung) => {
            const order = orderOn(choices, fault, rung.id);
            return (
              <tr key={rung.id} className="border-line border-b">
                <th scope="row" className="w-28 py-1.5 pr-4 align-middle font-semibold">
                  {rung.label}
                </th>
                <td className="py-1.5">
                  <ol className="flex flex-wrap items-center gap-x-5 gap-y-2">
                    {order.map((drill, at) => (
                      <li key={drill} className="flex items-center gap-1">
                        {catalogue.drills[drill] && (
                          <SmallPose
                            drill={catalogue.drills[drill]}
                            pose={poses.data?.[`${drill}:${rung.id}`]}
                            hand="right"
                          />
                        )}
                        <span>
                          {at + 1}. {catalogue.drills[drill]?.name ?? `${drill} (no longer in your drills)`}
                        </span>
                        {at > 0 && (
                          <IconButton
                            label={`${catalogue.drills[drill]?.name ?? drill} earlier, ${rung.label.toLowerCase()}`}
                            disabled={busy}
                            onClick={() => put(rung.id, raised(order, drill))}
                          >
                            <ArrowUp aria-hidden className="size-4 -rotate-90" />
                          </IconButton>
                        )}
                        <IconButton
                          label={`Without ${catalogue.drills[drill]?.name ?? drill}, ${rung.label.toLowerCase()}`}
                          disabled={busy}
                          onClick={() =>
                            put(
                              rung.id,
                              order.filter((d) => d !== drill),
                            )
                          }
                        >
                          <X aria-hidden className="size-4" />
                        </IconButton>
                      </li>
                    ))}
                    <li className="flex items-center gap-3">
                      {order.length === 0 && <span className="text-soft">the planner's choice</span>}
                      <IconButton
                        label={`Add a drill, ${rung.label.toLowerCase()}`}
                        disabled={busy}
                        onClick={() => setAdding(rung)}
                      >
                        <Plus aria-hidden className="size-4" />
                      </IconButton>
                    </li>
                  </ol>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Sheet
        title={`My drills for ${named}, ${adding?.label.toLowerCase() ?? ""}`}
        open={adding !== undefined}
        onOpenChange={(open) => !open && setAdding(undefined)}
      >
        {adding && (
          <Possible
            catalogue={catalogue}
            fault={fault}
            rung={adding.id}
            taken={orderOn(choices, fault, adding.id)}
            onTake={(drill, rungs) => {
              setAdding(undefined);
              set(
                rungs.map((rung) => ({ fault, rung, drills: putLast(orderOn(choices, fault, rung), drill) })),
              );
            }}
          />
        )}
      </Sheet>
    </section>
  );
}

/** What could be added, with the golfer; on this rung, or on all that the drill is done on. */
function Possible({
  catalogue,
  fault,
  rung,
  taken,
  onTake,
}: {
  catalogue: Catalogue;
  fault: string;
  rung: string;
  taken: string[];
  onTake: (drill: string, rungs: string[]) => void;
}) {
  const [everywhere, setEverywhere] = useState(false);
  const others = possibleOn(catalogue, fault, rung).filter((d) => !taken.includes(d.id));
  const poses = useQuery({
    ...queries.poses(
      "right",
      others.filter((d) => d.moving).map((d) => `${d.id}:${rung}`),
    ),
    enabled: others.length > 0,
  });
  if (others.length === 0) return <p className="text-soft">No other drill is done for this fault here.</p>;
  return (
    <div className="grid gap-2">
      <label className="flex min-h-11 items-center gap-3">
        <input type="checkbox" checked={everywhere} onChange={(e) => setEverywhere(e.target.checked)} />
        On every rung that the drill is done on
      </label>
      <ul>
        {others.map((drill) => (
          <DrillOffer
            key={drill.id}
            drill={drill}
            name={drill.name}
            pose={poses.data?.[`${drill.id}:${rung}`]}
            hand="right"
            why={
              (catalogue.ownDrills.includes(drill.id) ? "yours, " : "") +
              (drill.main.includes(fault) ? "for this fault" : "helps with it")
            }
          >
            <Button
              aria-label={`Add ${drill.name}`}
              onClick={() =>
                onTake(
                  drill.id,
                  everywhere ? catalogue.rungs.map((r) => r.id).filter((r) => r in drill.variations) : [rung],
                )
              }
            >
              Add
            </Button>
          </DrillOffer>
        ))}
      </ul>
    </div>
  );
}
