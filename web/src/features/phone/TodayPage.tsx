import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Flag, Play } from "lucide-react";
import { Link } from "react-router";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Hand } from "@/api/types";
import { ButtonLink } from "@/ui/Button";
import { longDay } from "@/calendar/dates";
import { Failed, Loading, Note } from "@/ui/Notice";
import { nameOf, partnerOf } from "../drill/instruction";
import { BlockGolfer } from "../golfer/lazily";
import { lookFor } from "../golfer/looks";
import { useMotionsAhead } from "./motionsAhead";
import { dose, ofARound, speedOf } from "../plan/dose";
import { Notes } from "../practice/Notes";
import { PhoneFrame } from "./PhoneFrame";
import { Adult } from "./Adult";
import { firstOpen, type Marked } from "./session";
import { type Today, useToday } from "./today";
import { useOwnOutbox } from "./useOutbox";
import { Title } from "@/ui/Title";

/** What to do today, why, how long, and with what. */
export default function TodayPage() {
  const day = useToday();
  const catalogue = useCatalogue(day.data?.handedness);
  if (day.error) return <Failed error={day.error} again={day.again} />;
  if (!catalogue.data && catalogue.isError)
    return <Failed error={catalogue.error} again={catalogue.refetch} />;
  if (!day.data || !catalogue.data) return <Loading />;
  return (
    <PhoneFrame>
      <p className="text-soft">{longDay(day.data.date)}</p>
      <Title>Today</Title>
      <h1>Hello {day.data.name.split(" ")[0]}</h1>
      {day.data.laidAgain && (
        <div className="mt-3">
          <Note>Your plan moved on with you. {day.data.laidAgain.reason}</Note>
        </div>
      )}
      <TodayBody today={day.data} catalogue={catalogue.data} />
      {day.data.plan && (
        <p className="mt-6">
          <Link to="/today/feet" className="inline-flex min-h-11 items-center">
            Tell what the feet feel
          </Link>
          <Link to="/today/film" className="ml-6 inline-flex min-h-11 items-center">
            Send a swing
          </Link>
        </p>
      )}
      <OwnNotes />
    </PhoneFrame>
  );
}

/** What the coach said about the student's notes. */
function OwnNotes() {
  const client = useQueryClient();
  const notes = useQuery(queries.ownNotes());
  const answer = useMutation({
    mutationFn: ({ session, said }: { session: string; said: string }) =>
      api.post(`/api/me/notes/${session}/answers`, { said }),
    onSuccess: () => client.invalidateQueries({ queryKey: ["own-notes"] }),
  });
  const answered = notes.data?.filter((n) => n.answers.length > 0) ?? [];
  if (answered.length === 0) return null;
  return (
    <section aria-labelledby="notes" className="mt-6">
      <h2 id="notes">From your coach</h2>
      <Notes
        mine="student"
        threads={answered.slice(0, 2)}
        busy={answer.isPending}
        onAnswer={(session, said, onSuccess) => answer.mutate({ session, said }, { onSuccess })}
      />
      {answer.isError && <Failed error={answer.error} />}
    </section>
  );
}

function TodayBody({ today, catalogue }: { today: Today; catalogue: Catalogue }) {
  if (!today.plan) return <p className="mt-4">No plan yet. It appears here when your coach hands it over.</p>;
  if (!today.day) {
    return (
      <div className="mt-4 grid gap-3">
        <p className="text-lg">Nothing is planned today. Rest is part of it.</p>
        {today.nextDay ? (
          <p>Next practice: {longDay(today.nextDay)}.</p>
        ) : (
          <p>
            The plan is done.{" "}
            {today.plan.nextLesson === today.date
              ? "Your lesson is today."
              : today.plan.nextLesson > today.date && `Next lesson: ${longDay(today.plan.nextLesson)}.`}
          </p>
        )}
      </div>
    );
  }
  return <Day today={today} day={today.day} catalogue={catalogue} />;
}

function Day({
  today,
  day,
  catalogue,
}: {
  today: Today;
  day: NonNullable<Today["day"]>;
  catalogue: Catalogue;
}) {
  useMotionsAhead(today, catalogue);
  const kept = useOwnOutbox().load(today.plan!.id, today.date)?.entry;
  const entry: Marked = kept ?? today.session ?? { blocks: [] };
  const done = kept ? kept.finished : today.session?.finished;
  const begun = entry.blocks.length > 0;
  const open = firstOpen(day.blocks, entry, today.stopped) < day.blocks.length;
  const main = day.blocks.find((b) => b.kind === "main") ?? day.blocks[0]!;
  const drill = catalogue.drills[main.drill]!;
  const kit = [
    ...new Set(
      day.blocks.flatMap((b) =>
        [catalogue.drills[b.drill], partnerOf(b, catalogue)].flatMap((d) => d?.kit ?? []),
      ),
    ),
  ].map((id) => {
    // What the student lacks is done with what the plan says instead.
    const instead = today.plan?.plan.kit.find((k) => k.id === id && !k.have)?.substitute;
    return instead ?? catalogue.equipment.find((e) => e.id === id)?.label.toLowerCase() ?? id;
  });
  const place = catalogue.places.find((p) => p.id === day.place)?.label;
  // A round is played, not run: its thought is on the card.
  const round = day.blocks.every((b) => ofARound(b) && !today.stopped.includes(b.drill));
  return (
    <div className="mt-4 grid gap-5">
      {round ? (
        <p className="text-lg">
          A round with one thought: <strong>{main.cue.toLowerCase()}</strong>. {main.sets} swings with it are
          enough; the rest is golf.
        </p>
      ) : (
        <p className="text-lg">
          {place}, about <strong>{Math.round(day.minutes)} minutes</strong>
          {kit.length > 0 && <>, with {kit.join(" and ")}</>}.
        </p>
      )}
      {today.stopped.map((id) => (
        <Note key={id} tone="alert">
          {catalogue.drills[id]?.name} is stopped because it hurt. Leave it until your coach has talked with
          you; pain that stays goes to a doctor or physiotherapist.
        </Note>
      ))}
      {today.junior && !done && <Adult adult={today.adult} />}
      {done ? (
        <p className="font-semibold">
          {kept?.pain || today.stopped.some((id) => day.blocks.some((b) => b.drill === id))
            ? "Today is done. You stopped where it hurt, and that was right."
            : "Today is done. Well practised."}
        </p>
      ) : today.junior && !today.adult ? null : round ? (
        <ButtonLink to="/card" weight="main" className="min-h-16! text-xl">
          <Flag aria-hidden className="size-6" /> The card
        </ButtonLink>
      ) : (
        <ButtonLink to="/today/practice" weight="main" className="min-h-16! text-xl">
          <Play aria-hidden className="size-6" /> {begun ? (open ? "Go on" : "Finish") : "Begin"}
        </ButtonLink>
      )}
      <ol className="border-line border-t">
        {day.blocks.map((block, i) => (
          <li
            key={i}
            className={`border-line flex items-baseline gap-3 border-b py-2.5 ${today.stopped.includes(block.drill) ? "line-through" : ""}`}
          >
            <span className="text-soft">{i + 1}</span>
            <span className="flex-1">
              {nameOf(block, catalogue)}
              <span className="text-soft block text-sm">
                {block.kind === "refresh"
                  ? "to warm up"
                  : block.kind === "check"
                    ? "scored"
                    : [
                        block.kind === "try" && "a try, does not count",
                        catalogue.rungs.find((r) => r.id === block.rung)?.label.toLowerCase(),
                        block.conditionLabel?.toLowerCase(),
                        speedOf(block),
                      ]
                        .filter(Boolean)
                        .join(", ")}
              </span>
            </span>
            <span>{dose(block)}</span>
          </li>
        ))}
      </ol>
      <section className="grid gap-2">
        <h2>How it should feel</h2>
        <div className="grid grid-cols-[6rem_1fr] items-center gap-4">
          <BlockGolfer
            still
            drill={drill}
            block={main}
            hand={today.handedness as Hand}
            look={lookFor(today.name, today.look)}
          />
          <p>{drill.feel}</p>
        </div>
      </section>
      <section className="grid gap-1">
        <h2>Why</h2>
        {today.why.map((why) => (
          <p key={why}>{why}</p>
        ))}
      </section>
    </div>
  );
}
