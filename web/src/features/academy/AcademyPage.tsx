import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Failed, Loading } from "@/ui/Notice";
import { OneTimeLink } from "@/ui/OneTimeLink";
import { Sheet } from "@/ui/Sheet";
import { Handovers } from "./Handovers";
import { HealthPanel } from "./HealthPanel";
import { Title } from "@/ui/Title";

type Coach = Wire["CoachView"];

/** The coaches of this house, what passes between them, and for its owner how the installation is. */
export default function AcademyPage() {
  const academy = useQuery(queries.academy());
  if (academy.isPending) return <Loading />;
  if (academy.isError) return <Failed error={academy.error} again={() => academy.refetch()} />;
  const { coaches, handovers } = academy.data;
  const owner = coaches.some((c) => c.you && c.owner);
  return (
    <div className="grid gap-8">
      <header className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <Title>The academy</Title>
        <h1>The academy</h1>
        {coaches.length === 1 && (
          <p className="text-soft">Only you so far. Other coaches get their own students.</p>
        )}
        {owner && (
          <span className="ml-auto">
            <InviteCoach />
          </span>
        )}
      </header>
      {handovers.length > 0 && <Handovers list={handovers} />}
      <Coaches list={coaches} owner={owner} />
      {owner && <HealthPanel />}
    </div>
  );
}

function Coaches({ list, owner }: { list: Coach[]; owner: boolean }) {
  return (
    <section aria-labelledby="coaches">
      <h2 id="coaches" className="mb-1">
        Coaches
      </h2>
      <ul className="max-w-3xl">
        {list.map((coach) => (
          <li key={coach.id} className="border-line flex flex-wrap items-center gap-x-4 border-b py-1.5">
            <span className="min-w-0 flex-1">
              <span className="font-serif text-lg font-semibold">{coach.name}</span>
              <span className="text-soft ml-3 text-sm">
                {[
                  coach.you && "you",
                  coach.owner && "owner",
                  coach.left && "has left",
                  coach.students === 1 ? "1 student" : `${coach.students} students`,
                ]
                  .filter(Boolean)
                  .join(", ")}
              </span>
            </span>
            {!coach.owner && (owner || coach.you) && <Leaving coach={coach} list={list} owner={owner} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A coach goes: the students into other hands first; the owner can also pass the house on. */
function Leaving({ coach, list, owner }: { coach: Coach; list: Coach[]; owner: boolean }) {
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState("");
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries();
  const offer = useMutation({
    mutationFn: () =>
      api.post<Wire["Offered"]>(`/api/academy/coaches/${coach.id}/handovers`, { coachId: to }),
    onSuccess: refresh,
  });
  const leave = useMutation({
    mutationFn: () => api.delete(`/api/academy/coaches/${coach.id}`),
    onSuccess: async () => {
      if (coach.you) window.location.assign("/sign-in");
      else {
        setOpen(false);
        await refresh();
      }
    },
  });
  const pass = useMutation({
    mutationFn: () => api.put<void>("/api/academy/owner", { coachId: coach.id }),
    onSuccess: async () => {
      setOpen(false);
      await refresh();
    },
  });
  const others = list.filter((c) => c.id !== coach.id && !c.left);
  return (
    <>
      <Button weight="quiet" onClick={() => setOpen(true)}>
        {coach.you ? "Leave" : "Change"}
      </Button>
      <Sheet title={coach.you ? "Leave the academy" : coach.name} open={open} onOpenChange={setOpen}>
        {coach.students > 0 ? (
          <>
            <p>
              {coach.name} {coach.left ? "left behind" : "has"}{" "}
              {coach.students === 1 ? "one student" : `${coach.students} students`}. They go into other hands
              {!coach.left && " first"}, with their history; who takes them over has to agree.
              {coach.left && " Until then you see them among your own."}
            </p>
            {owner ? (
              <div className="flex flex-wrap items-end gap-3">
                <CoachPick label="Offer them all to" list={others} value={to} onPick={setTo} />
                <Button disabled={!to || offer.isPending} onClick={() => offer.mutate()}>
                  Offer
                </Button>
              </div>
            ) : (
              <p>Hand each over from its Details.</p>
            )}
            {offer.data && <p role="status">{offer.data.students} offered.</p>}
          </>
        ) : (
          <>
            <p>The account ends at once. What was decided keeps the name.</p>
            <Button
              weight="main"
              className="justify-self-start"
              disabled={leave.isPending}
              onClick={() => leave.mutate()}
            >
              {coach.you ? "Leave for good" : "End the account"}
            </Button>
          </>
        )}
        {owner && !coach.you && !coach.left && (
          <div className="border-line grid justify-items-start gap-2 border-t pt-3">
            <p>The owner invites coaches, ends accounts and sees how the installation is.</p>
            <Button disabled={pass.isPending} onClick={() => pass.mutate()}>
              Make {coach.name} the owner
            </Button>
          </div>
        )}
        {[offer, leave, pass].map((m, i) => m.isError && <Failed key={i} error={m.error} />)}
      </Sheet>
    </>
  );
}

export function CoachPick({
  label,
  list,
  value,
  onPick,
}: {
  label: string;
  list: { id: string; name: string }[];
  value: string;
  onPick: (id: string) => void;
}) {
  return (
    <Field label={label}>
      {(props) => (
        <select
          {...props}
          className="min-h-11 min-w-48"
          value={value}
          onChange={(e) => onPick(e.target.value)}
        >
          <option value="">Choose</option>
          {list.map((c) => (
            <option key={c.id} value={c.id}>
              {c.name}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

function InviteCoach() {
  const [open, setOpen] = useState(false);
  const [name, setName] = useState("");
  const invite = useMutation({
    mutationFn: () => api.post<Wire["CoachInvitation"]>("/api/academy/invitations", { name }),
  });
  const close = (next: boolean) => {
    setOpen(next);
    if (!next) {
      invite.reset();
      setName("");
    }
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    invite.mutate();
  };
  return (
    <>
      <Button weight="main" onClick={() => setOpen(true)}>
        Invite a coach
      </Button>
      <Sheet title="Invite a coach" open={open} onOpenChange={close}>
        {invite.data ? (
          <OneTimeLink
            path={`/join/${invite.data.token}`}
            says={`For ${name}: it works once, for fourteen days.`}
          />
        ) : (
          <form onSubmit={submit} className="grid gap-4">
            <label className="grid gap-1">
              <span className="font-semibold">Name</span>
              <input
                required
                maxLength={100}
                value={name}
                autoFocus
                onChange={(e) => setName(e.target.value)}
              />
            </label>
            {invite.isError && <Failed error={invite.error} />}
            <Button type="submit" weight="main" disabled={invite.isPending}>
              Make the invitation
            </Button>
          </form>
        )}
      </Sheet>
    </>
  );
}
