import type { Catalogue } from "@/api/types";
import type { RunBlock, Said } from "./session";

type Rules = Catalogue["practice"];

/** What a run of marks calls for: after misses it gets easier, after good ones harder. */
export type Offer = "misses" | "good";

/**
 * What the last reps call for; nothing in a scored set, nor where the same run was answered already.
 *
 * @param declined after so many reps an offer was last declined
 */
export function offered(
  block: RunBlock,
  marks: string,
  turns: Said["turns"],
  declined: number,
  rules: Rules,
): Offer | null {
  if (block.kind !== "main" || block.aside) return null;
  const since = Math.max(declined, ...turns.map((t) => t.at));
  // Reps done wrong on purpose break no run.
  const judged = marks.slice(since).replaceAll("o", "");
  if (judged.endsWith("-".repeat(rules.misses))) return "misses";
  return judged.endsWith("+".repeat(rules.good)) ? "good" : null;
}

/** The form in which a block is done by now: the last change of it. */
export function formNow(turns: Said["turns"]): "easier" | "harder" | null {
  const last = turns.filter((t) => t.kind !== "rehearse").at(-1)?.kind;
  return last === "easier" || last === "harder" ? last : null;
}
