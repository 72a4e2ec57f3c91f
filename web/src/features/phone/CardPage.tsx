import { newId } from "@/api/newId";
import { useState } from "react";
import { useCatalogue } from "@/api/queries";
import type { Catalogue } from "@/api/types";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Failed, Loading } from "@/ui/Notice";
import { Title } from "@/ui/Title";
import { cueCard } from "../plan/sheetShape";
import { PhoneFrame } from "./PhoneFrame";
import { type Today, useToday } from "./today";
import { useMailbag } from "./useOutbox";
import { sendWaiting } from "./sending";

const SHOTS = 10;

/** The pocket card: one thing before the shot, one after a bad one, the rescue, and three questions after the round. */
export default function CardPage() {
  const day = useToday();
  const catalogue = useCatalogue(day.data?.handedness);
  if (day.error) return <Failed error={day.error} again={day.again} />;
  if (!catalogue.data && catalogue.isError)
    return <Failed error={catalogue.error} again={catalogue.refetch} />;
  if (!day.data || !catalogue.data) return <Loading />;
  return (
    <PhoneFrame>
      <Title>The card</Title>
      <h1>On the course</h1>
      <Card today={day.data} catalogue={catalogue.data} />
      {day.data.plan && <AfterRound today={day.data} catalogue={catalogue.data} />}
    </PhoneFrame>
  );
}

function Card({ today, catalogue }: { today: Today; catalogue: Catalogue }) {
  const card = today.plan && cueCard(today.plan, catalogue, today.date);
  if (!card) return <p className="mt-4">No plan yet. Your card appears with it.</p>;
  return (
    <dl className="border-ink mt-4 grid gap-5 rounded-lg border-2 p-4">
      <div>
        <dt className="text-soft">Before the shot</dt>
        <dd className="font-serif text-3xl leading-tight">{card.before}</dd>
        {card.drill && today.cues[card.drill] && <dd className="text-xl italic">{today.cues[card.drill]}</dd>}
      </div>
      <div>
        <dt className="text-soft">After a bad one</dt>
        <dd className="text-lg">{capital(card.after)}</dd>
      </div>
      {today.rescue && (
        <div>
          <dt className="text-soft">When it does not come back</dt>
          <dd className="text-lg">{today.rescue}</dd>
        </div>
      )}
    </dl>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const TEN = Array.from({ length: SHOTS + 1 }, (_, n) => ({ id: String(n), label: String(n) }));

/** Three questions, kept on the phone and sent like practice. */
function AfterRound({ today, catalogue }: { today: Today; catalogue: Catalogue }) {
  const bag = useMailbag();
  const [thought, setThought] = useState("");
  const [held, setHeld] = useState("");
  const [cost, setCost] = useState("");
  const [done, setDone] = useState(false);
  if (done) {
    return (
      <p role="status" className="mt-6 font-semibold">
        Noted. Your coach sees it beside your practice.
      </p>
    );
  }
  const keep = () => {
    bag.letters.write({
      id: newId(),
      what: "the round",
      day: today.date,
      to: "rounds",
      body: { day: today.date, edition: 1, thought: Number(thought), held: Number(held), cost },
    });
    void sendWaiting(bag).catch(() => undefined);
    setDone(true);
  };
  return (
    <section aria-labelledby="round" className="mt-6 grid gap-4">
      <h2 id="round">After the round</h2>
      <Question
        legend="Of ten shots, before how many did you think of it?"
        value={thought}
        onChange={setThought}
      />
      <Question legend="Of ten, in how many did it hold?" value={held} onChange={setHeld} />
      <fieldset className="grid gap-1">
        <legend className="mb-1">Which shot cost you most?</legend>
        <Choice
          label="Which shot cost you most?"
          value={cost}
          columns={2}
          options={catalogue.practice.costs}
          onChange={setCost}
        />
      </fieldset>
      <Button
        weight="main"
        className="min-h-14! text-lg"
        disabled={!thought || !held || !cost}
        onClick={keep}
      >
        Note the round
      </Button>
    </section>
  );
}

function Question({
  legend,
  value,
  onChange,
}: {
  legend: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1">{legend}</legend>
      <Choice compact label={legend} value={value} columns={6} options={TEN} onChange={onChange} />
    </fieldset>
  );
}
