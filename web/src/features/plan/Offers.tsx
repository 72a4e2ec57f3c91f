import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { StoredPlan, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { inDigits } from "@/ui/number";
import type { PlanWork } from "./usePlanTerms";

/** Under this a chance is small, and what would change it most stands beside it. */
const SMALL = 0.1;

/** Beside a small chance, the change that would raise it most; nothing where none would. */
export function WouldHelp({ stored, step }: { stored: StoredPlan; step: Wire["StepView"] }) {
  const offers = useQuery(queries.offers(stored.lessonId));
  if (!offers.data || step.chance == null || step.chance >= SMALL) return null;
  const of = (chances: Wire["ChanceView"][]) =>
    chances.find((c) => c.fault === step.fault && c.rung === step.rung)?.chance ?? 0;
  const now = of(offers.data.chances);
  const best = offers.data.offers
    .map((offer) => ({ text: offer.text, chance: of(offer.chances) }))
    .sort((a, b) => b.chance - a.chance)[0];
  if (!best || best.chance < now + 0.02) return null;
  return (
    <>
      {best.text}: {percent(best.chance)} instead of {percent(now)} of such students.
    </>
  );
}

/** A chance in words; never a bare nought. */
const percent = (chance: number) => (chance < 0.01 ? "hardly any" : `${Math.round(chance * 100)} %`);

/** What could be given or given up for a better climb; each taken with one tap. */
export function Offers({ stored, work }: { stored: StoredPlan; work: PlanWork }) {
  const offers = useQuery(queries.offers(stored.lessonId));
  if (!offers.data) return null;
  const { reps, gates } = offers.data;
  const chances = stored.plan.route.flatMap((step) => (step.chance == null ? [] : [step.chance]));
  const worth = offers.data.offers
    .map((offer) => ({
      ...offer,
      effect: [signed(offer.gates - gates, 1, "gates"), signed(offer.reps - reps, 0, "reps")].filter(Boolean),
    }))
    .filter((offer) => offer.effect.length > 0);
  if (worth.length === 0) return null;
  return (
    <section aria-labelledby="offers">
      <h2 id="offers">What would help</h2>
      <p className="text-soft text-sm">
        {chances.length > 0 &&
          `As it stands, ${inDigits(sum(chances))} of ${chances.length} gates are to be expected by the next lesson: the chances beside the rungs, added up. `}
        What each change would bring is worked out for a typical student of this level.
      </p>
      <ul>
        {worth.map((offer) => (
          <li key={offer.code} className="border-line flex items-center gap-3 border-b py-1.5">
            <span className="flex-1">
              {offer.text}
              <span className="text-soft block text-sm">{offer.effect.join(", ")}</span>
            </span>
            <Button
              disabled={work.busy}
              aria-label={`Take: ${offer.text}`}
              onClick={() => work.apply(offer.terms)}
            >
              Take
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

const sum = (numbers: number[]) => numbers.reduce((all, one) => all + one, 0);

/** A difference in words; nothing where it rounds to none. */
function signed(number: number, digits: number, of: string): string {
  const text = Math.abs(number).toFixed(digits);
  if (Number(text) === 0) return "";
  return `${number > 0 ? "+" : "−"}${text} ${of}`;
}
