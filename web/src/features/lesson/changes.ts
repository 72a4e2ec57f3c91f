import type { LessonEntry, MomentName, Wire } from "@/api/types";

export type Kind = "flight" | "strike" | "divot";
export type Answer = "yes" | "no" | "unseen";
export type Reading = Wire["ReadingEntry"];

/** Readings are taken and shown with so many decimals. */
export const DECIMALS = 2;

/** One more, or one less, of a result. */
export function counted(
  entry: LessonEntry,
  moment: MomentName,
  kind: Kind,
  result: string,
  by: 1 | -1,
): LessonEntry {
  const shots = entry[moment].shots;
  const count = Math.max(0, (shots[kind]?.[result] ?? 0) + by);
  const others = without(shots[kind] ?? {}, result);
  return {
    ...entry,
    [moment]: {
      ...entry[moment],
      shots: { ...shots, [kind]: count === 0 ? others : { ...others, [result]: count } },
    },
  };
}

/** A sign answered, or not looked at again. */
export function answered(entry: LessonEntry, sign: string, answer: Answer): LessonEntry {
  if ((entry.signs[sign] ?? "unseen") === answer) return entry;
  const others = without(entry.signs, sign);
  return { ...entry, signs: answer === "unseen" ? others : { ...others, [sign]: answer } };
}

/** No for every one of these signs that has no answer yet. */
export function noToTheRest(entry: LessonEntry, signs: { id: string }[]): LessonEntry {
  const open = signs.filter((s) => !entry.signs[s.id]);
  if (open.length === 0) return entry;
  return { ...entry, signs: { ...entry.signs, ...Object.fromEntries(open.map((s) => [s.id, "no"])) } };
}

function without<T>(record: Record<string, T>, key: string): Record<string, T> {
  return Object.fromEntries(Object.entries(record).filter(([k]) => k !== key));
}

/** A reading taken; one of the same measure, checkpoint and source is replaced. */
export function read(entry: LessonEntry, moment: MomentName, reading: Reading): LessonEntry {
  const same = (r: Reading) => r.id === reading.id && r.at === reading.at && r.source === reading.source;
  const others = entry[moment].readings.filter((r) => !same(r));
  return { ...entry, [moment]: { ...entry[moment], readings: [...others, reading] } };
}

export function unread(entry: LessonEntry, moment: MomentName, index: number): LessonEntry {
  const readings = entry[moment].readings.filter((_, i) => i !== index);
  return { ...entry, [moment]: { ...entry[moment], readings } };
}
