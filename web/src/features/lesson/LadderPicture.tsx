import type { Catalogue, LessonEntry, Wire } from "@/api/types";
import { Wide } from "@/ui/Wide";
import { inDigits } from "@/ui/number";
import { ladderShape } from "./ladderShape";
import { triesOf } from "./changes";

const TALL = 26;
const SOLID = 80;

/** The lesson as a ladder, the first balls at its foot: how many were solid, how far they came and how far off line. */
export function LadderPicture({
  stages,
  entry,
  catalogue,
}: {
  stages: Wire["StagesView"];
  entry: LessonEntry;
  catalogue: Catalogue;
}) {
  if (stages.rungs.length < 2) return null;
  const shape = ladderShape(stages.rungs);
  const name = (stage: string) => stageName(stage, entry, catalogue);
  const head = "text-soft px-2 pb-1 text-left text-sm font-normal";
  return (
    <section aria-labelledby="ladder" className="grid gap-2">
      <h2 id="ladder">Up the ladder</h2>
      <Wide label="Stages of this lesson">
        <table className="border-collapse">
          <caption className="sr-only">Stages of this lesson, the last one first</caption>
          <thead>
            <tr>
              <td />
              {shape.hasStrikes && (
                <th scope="col" className={head}>
                  Solid
                </th>
              )}
              {shape.hasCarry && (
                <th scope="col" className={head}>
                  Carry, {stages.unit}
                </th>
              )}
              {shape.hasOffline && (
                <th scope="col" className={head}>
                  Off line, {stages.unit}
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {[...shape.rungs].reverse().map((rung) => (
              <tr key={rung.stage} className="border-strong-line border-x-4 border-t border-b">
                <th scope="row" className="min-w-44 px-3 py-1 text-left font-normal">
                  {name(rung.stage)}
                </th>
                {shape.hasStrikes && (
                  <td className="px-2">
                    {rung.struck > 0 && (
                      <span className="flex items-center gap-2">
                        <svg viewBox={`0 0 ${SOLID} ${TALL}`} width={SOLID} height={TALL} aria-hidden>
                          <rect
                            x="0.5"
                            y="6.5"
                            width={SOLID - 1}
                            height="13"
                            fill="none"
                            stroke="var(--line)"
                          />
                          <rect x="0" y="6" width={rung.share * SOLID} height="14" fill="var(--lead)" />
                        </svg>
                        <span className="text-sm whitespace-nowrap tabular-nums">
                          {rung.solid} of {rung.struck}
                        </span>
                      </span>
                    )}
                  </td>
                )}
                {shape.hasCarry && (
                  <td className="px-2">
                    <Marks marks={rung.carryMarks} width={shape.carryWidth} said={saidCarry(rung.carry)} />
                  </td>
                )}
                {shape.hasOffline && (
                  <td className="px-2">
                    <Marks
                      marks={rung.offlineMarks}
                      width={shape.offlineWidth}
                      line
                      said={saidOffline(rung.offline)}
                    />
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </Wide>
    </section>
  );
}

function Marks({
  marks,
  width,
  said,
  line = false,
}: {
  marks?: { balls: number[]; mean: number } | null;
  width: number;
  said: string;
  line?: boolean;
}) {
  if (!marks) return null;
  return (
    <span className="flex items-center gap-2">
      <svg viewBox={`0 0 ${width} ${TALL}`} width={width} height={TALL} aria-hidden>
        {line && (
          <line
            x1={width / 2}
            x2={width / 2}
            y1="1"
            y2={TALL - 1}
            stroke="var(--strong-line)"
            strokeDasharray="3 3"
          />
        )}
        {marks.balls.map((x, i) => (
          <circle key={i} cx={x} cy={TALL / 2} r="4" fill="none" stroke="var(--lead)" strokeWidth="1.5" />
        ))}
        <line x1={marks.mean} x2={marks.mean} y1="2" y2={TALL - 2} stroke="var(--ink)" strokeWidth="3" />
      </svg>
      <span className="text-sm whitespace-nowrap tabular-nums">{said}</span>
    </span>
  );
}

type Figure = Wire["LadderFigure"];

function saidCarry(figure?: Figure | null): string {
  return figure ? inDigits(figure.mean, 0) : "";
}

function saidOffline(figure?: Figure | null): string {
  if (!figure) return "";
  const off = inDigits(Math.abs(figure.mean));
  if (off === "0") return "on line";
  return `${off} ${figure.mean > 0 ? "right" : "left"}`;
}

/** First balls, last balls, or what was tried between. */
export function stageName(stage: string, entry: LessonEntry, catalogue: Catalogue): string {
  if (stage === "before") return "First balls";
  if (stage === "after") return "Last balls";
  const tries = triesOf(entry);
  const at = tries.findIndex((t) => t.name === stage);
  const tried = tries[at]?.tried;
  const drill = tried?.drill ? catalogue.drills[tried.drill]?.name : undefined;
  const length = catalogue.practice.swingLengths.find((l) => l.id === tried?.length)?.label.toLowerCase();
  const club = catalogue.practice.clubs.find((c) => c.id === tried?.club)?.label.toLowerCase();
  return [`${at + 1} ${drill ?? (tried?.words || "in own words")}`, length, club].filter(Boolean).join(", ");
}
