/** Width of a letter of the strand's labels, at most. */
const LETTER = 7.4;

/** As much of what was practised as there is room for beside the next label. */
export function strandLabel(
  s: { doneDays: number; plannedDays: number; doneReps: number; plannedReps: number },
  width: number,
): string {
  const days = `${s.doneDays} of ${s.plannedDays} days`;
  const share = s.plannedReps > 0 ? ` (${Math.round((100 * s.doneReps) / s.plannedReps)} %)` : "";
  const most = [
    `${days}, ${s.doneReps} reps${share}`,
    `${days}${share}`,
    days,
    `${s.doneDays}/${s.plannedDays}`,
  ];
  return most.find((text) => text.length * LETTER < width - LETTER) ?? "";
}
