import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Check, Users } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "@/api/client";
import { lastGroup, rememberGroup } from "@/api/lastGroup";
import { queries } from "@/api/queries";
import type { Lesson, RosterLine, StoredPlan, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { fold } from "@/ui/fold";
import { Failed, Loading } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";

type Laid = Wire["GroupPlanView"];

/** What came of it for one of the group. */
type Outcome = { laid?: Laid; handedOver?: boolean; refused?: string };

/** A search is worth its place from so many students on. */
const MANY = 8;

/** The same drills and days for several students at once, each fitted to the one student. */
export function GroupTools({ lesson }: { lesson: Lesson }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button weight="quiet" onClick={() => setOpen(true)}>
        <Users aria-hidden className="size-4" /> For a group
      </Button>
      <Sheet title="This plan for a group" open={open} onOpenChange={setOpen}>
        <Group lesson={lesson} />
      </Sheet>
    </>
  );
}

function Group({ lesson }: { lesson: Lesson }) {
  const client = useQueryClient();
  const roster = useQuery(queries.roster());
  const account = useQuery(queries.session()).data?.account?.email ?? "";
  const [chosen, setChosen] = useState<string[]>([]);
  const [sameDays, setSameDays] = useState(true);
  const [outcomes, setOutcomes] = useState<Record<string, Outcome>>({});
  const note = (id: string, outcome: Outcome) =>
    setOutcomes((all) => ({ ...all, [id]: { ...all[id], ...outcome } }));
  // One by one: what is refused for one does not hold up the others.
  const each = async (ids: string[], act: (id: string) => Promise<Outcome>) => {
    for (const id of ids) note(id, await act(id).catch((failure: Error) => ({ refused: failure.message })));
    void client.invalidateQueries({ queryKey: ["students"] });
    void client.invalidateQueries({ queryKey: ["lessons"] });
  };
  const draft = useMutation({
    mutationFn: (ids: string[]) => {
      rememberGroup(account, ids);
      return each(ids, async (id) => ({
        laid: await api.post<Laid>(`/api/lessons/${lesson.id}/plan/also/${id}`, { sameDays }),
        refused: undefined,
      }));
    },
  });
  const handOver = useMutation({
    mutationFn: (ids: string[]) =>
      each(ids, async (id) => {
        await api.post<StoredPlan>(`/api/plans/${outcomes[id]!.laid!.plan}/assignment`);
        return { handedOver: true, refused: undefined };
      }),
  });
  if (roster.isError) return <Failed error={roster.error} again={() => roster.refetch()} />;
  if (!roster.data) return <Loading />;
  const busy = draft.isPending || handOver.isPending;
  const waiting = Object.keys(outcomes).filter((id) => outcomes[id]!.laid && !outcomes[id]!.handedOver);
  if (Object.keys(outcomes).length > 0) {
    return (
      <div className="grid gap-3">
        <ul>
          {roster.data
            .filter((s) => outcomes[s.id])
            .map((s) => (
              <Came key={s.id} name={s.name} outcome={outcomes[s.id]!} />
            ))}
        </ul>
        {waiting.length > 0 && (
          <Button weight="main" disabled={busy} onClick={() => handOver.mutate(waiting)}>
            {busy
              ? "Laying …"
              : waiting.length === 1
                ? "Hand the draft over"
                : `Hand all ${waiting.length} drafts over`}
          </Button>
        )}
        {!busy && (
          <Button weight="quiet" onClick={() => setOutcomes({})}>
            Choose others
          </Button>
        )}
      </div>
    );
  }
  const last = lastGroup(account).filter((id) => roster.data.some((s) => s.id === id));
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        draft.mutate(chosen);
      }}
    >
      <p className="text-soft text-sm">
        Each gets a draft in a lesson of today, with these drills where they may do them; what is otherwise is
        said.
      </p>
      {last.length > 0 && (
        <Button onClick={() => setChosen(last)}>
          The last group:{" "}
          {last.map((id) => roster.data.find((s) => s.id === id)!.name.split(" ")[0]).join(", ")}
        </Button>
      )}
      <Members
        students={roster.data}
        chosen={chosen}
        onToggle={(id) => setChosen((now) => (now.includes(id) ? now.filter((x) => x !== id) : [...now, id]))}
      />
      <label className="flex min-h-11 items-center gap-3">
        <input type="checkbox" checked={sameDays} onChange={(e) => setSameDays(e.target.checked)} />
        On this plan’s weekdays; else on each one’s own
      </label>
      <Button type="submit" weight="main" disabled={busy || chosen.length === 0}>
        {chosen.length < 2 ? "Draft it" : `Draft it for ${chosen.length}`}
      </Button>
    </form>
  );
}

function Members({
  students,
  chosen,
  onToggle,
}: {
  students: RosterLine[];
  chosen: string[];
  onToggle: (id: string) => void;
}) {
  const [search, setSearch] = useState("");
  const found = students.filter((s) => chosen.includes(s.id) || fold(s.name).includes(fold(search.trim())));
  return (
    <>
      {students.length > MANY && (
        <input
          type="search"
          aria-label="Find a student"
          placeholder="Find by name"
          className="min-h-11"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
        />
      )}
      <ul className="max-h-80 overflow-y-auto">
        {found.map((s) => (
          <li key={s.id}>
            <label className="hover:bg-tint flex min-h-11 items-center gap-3">
              <input type="checkbox" checked={chosen.includes(s.id)} onChange={() => onToggle(s.id)} />
              {s.name}
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}

function Came({ name, outcome }: { name: string; outcome: Outcome }) {
  const { laid, handedOver, refused } = outcome;
  return (
    <li className="border-line border-b py-2">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <strong>{name}</strong>
        {laid && (
          <span>
            {laid.kept === laid.of ? "all drills as here" : `${laid.kept} of ${laid.of} drills as here`}
          </span>
        )}
        {handedOver && (
          <span className="flex items-center gap-1 font-semibold">
            <Check aria-hidden className="size-4" /> has it
          </span>
        )}
        {laid && (
          <Link className="ml-auto" to={`/lessons/${laid.lesson}/plan`}>
            Look at {name.split(" ")[0]}’s plan
          </Link>
        )}
      </p>
      {laid?.otherwise.map((sentence) => (
        <p key={sentence} className="text-soft text-sm">
          {sentence}
        </p>
      ))}
      {refused && (
        <p role="alert" className="text-alert text-sm font-semibold">
          {refused}
        </p>
      )}
    </li>
  );
}
