import type { Catalogue, Diagnosis, LessonEntry } from "@/api/types";
import { Button } from "@/ui/Button";
import { answered } from "./changes";

const SHOWN = 3;

/** What to look at next, answered on the spot. */
export function NextLooks({
  diagnosis,
  catalogue,
  entry,
  change,
}: {
  diagnosis: Diagnosis;
  catalogue: Catalogue;
  entry: LessonEntry;
  change: (change: (entry: LessonEntry) => LessonEntry) => void;
}) {
  const looks = diagnosis.nextLooks.filter((l) => !entry.signs[l.sign]).slice(0, SHOWN);
  if (looks.length === 0) return null;
  return (
    <section aria-labelledby="looks">
      <h2 id="looks">Look at this next</h2>
      <ul>
        {looks.map((look) => {
          const sign = catalogue.signs.find((s) => s.id === look.sign);
          return (
            <li key={look.sign} className="border-line flex items-center gap-2 border-b py-1.5">
              <div className="flex-1">
                <p className="leading-tight font-semibold">{sign?.label}</p>
                <p className="text-soft text-sm leading-snug">{look.how}</p>
              </div>
              <Button
                className="px-3!"
                aria-label={`Yes: ${sign?.label}`}
                onClick={() => change((e) => answered(e, look.sign, "yes"))}
              >
                Yes
              </Button>
              <Button
                className="px-3!"
                aria-label={`No: ${sign?.label}`}
                onClick={() => change((e) => answered(e, look.sign, "no"))}
              >
                No
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
