import type { Catalogue } from "@/api/types";
import { inDigits } from "@/ui/number";
import { scaleOf, toSaid } from "@/ui/units";
import { countGood, countJudged, type Session, workOf } from "./weeks";

type Block = Session["blocks"][number];

const TURNS: Record<string, string> = {
  easier: "made easier",
  rehearse: "more rehearsals",
  harder: "made harder",
};

/** What a session told beside its marks, a line per drill and for all balls. */
export function toldIn(session: Session, catalogue: Catalogue): string[] {
  const work = workOf(session);
  const drills = [...new Set(work.map((b) => b.drill))];
  return [
    ...drills.flatMap((id) => {
      const blocks = work.filter((b) => b.drill === id);
      const name = catalogue.drills[id]?.name ?? id;
      return [noticed(blocks, catalogue), turned(blocks)].filter(Boolean).map((said) => `${name}: ${said}`);
    }),
    ...session.blocks.flatMap((block) => aside(block)),
    ...session.blocks.flatMap((block) => tried(block, catalogue)),
    ...balls(session, catalogue),
  ];
}

/** How often each answer was given, with what a good set has marked; or the mean of the numbers. */
function noticed(blocks: Block[], catalogue: Catalogue): string {
  const notice = catalogue.drills[blocks[0]?.drill ?? ""]?.notice;
  const said = blocks.flatMap((b) => b.noticed).filter((n) => n !== "");
  if (!notice || said.length === 0) return "";
  if (notice.unit != null) {
    const mean = said.reduce((sum, n) => sum + Number(n), 0) / said.length;
    const scale = scaleOf(catalogue.scales, notice.unit);
    return `${inDigits(toSaid(mean, scale))} ${scale.unit} in the mean of ${said.length} sets`;
  }
  return notice.answers
    .map((a) => ({
      label: `${a.label.toLowerCase()}${notice.right.includes(a.id) ? " ✓" : ""}`,
      count: said.filter((n) => n === a.id).length,
    }))
    .filter((a) => a.count > 0)
    .map((a) => `${a.label} ${a.count} of ${said.length}`)
    .join(", ");
}

function turned(blocks: Block[]): string {
  const turns = blocks.flatMap((b) => b.told.turns ?? []);
  return Object.entries(TURNS)
    .map(([kind, said]) => ({ said, times: turns.filter((t) => t.kind === kind).length }))
    .filter(({ times }) => times > 0)
    .map(({ said, times }) => (times > 1 ? `${said} ${times} times` : said))
    .join(", ");
}

/** How far a session climbed above the day's rung. */
function tried(block: Block, catalogue: Catalogue): string[] {
  const judged = countJudged(block.marks);
  if (block.kind !== "try" || judged === 0) return [];
  const rung = catalogue.rungs.find((r) => r.id === block.rung)?.label.toLowerCase() ?? block.rung;
  return [`Tried ${rung}: ${countGood(block.marks)} good of ${judged}`];
}

function aside(block: Block): string[] {
  if (block.aside === "below") return ["Lost on the way; a set on the rung below"];
  if (block.aside !== "first-ten") return [];
  const good = countGood(block.marks);
  return [`First ten after days without practice: ${good} of ${block.marks.length}`];
}

/** The balls by club with what went wrong most. */
function balls(session: Session, catalogue: Catalogue): string[] {
  const clubs = new Map<string, NonNullable<Block["told"]["balls"]>>();
  for (const block of session.blocks) {
    const club = block.told.club ?? "";
    if (block.told.balls?.length) clubs.set(club, [...(clubs.get(club) ?? []), ...block.told.balls]);
  }
  return [...clubs].map(([club, all]) => {
    const label = catalogue.practice.clubs.find((c) => c.id === club)?.label ?? "Balls";
    const counts = (["flight", "strike"] as const).flatMap((kind) =>
      catalogue.ballResults
        .filter((r) => r.kind === kind)
        .map((r) => ({ label: r.label, count: all.filter((b) => b[kind] === r.id).length })),
    );
    const most = counts.filter((c) => c.count > 0).sort((a, b) => b.count - a.count);
    return `${label}, ${all.length} balls: ${most.map((c) => `${c.label} ${c.count}`).join(", ") || "not said"}`;
  });
}
