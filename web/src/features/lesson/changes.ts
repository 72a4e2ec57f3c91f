import type { LessonEntry, MomentName, Wire } from "@/api/types";
import { total } from "../progress/tally";

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

export type Ball = { carry?: number | null; offline?: number | null };

/** Balls keyed in at a moment in order, each with the name it is kept under. */
export function ballsOf(entry: LessonEntry, moment: MomentName): { name: string; ball: Wire["KeyedBall"] }[] {
  return Object.entries(entry[moment].balls ?? {})
    .map(([name, ball]) => ({ name, ball }))
    .sort((a, b) => a.ball.number - b.ball.number || a.name.localeCompare(b.name));
}

export function withBall(entry: LessonEntry, moment: MomentName, name: string, ball: Ball): LessonEntry {
  const number = (ballsOf(entry, moment).at(-1)?.ball.number ?? 0) + 1;
  const balls = { ...entry[moment].balls, [name]: { number, ...ball } };
  return { ...entry, [moment]: { ...entry[moment], balls } };
}

export function withoutBall(entry: LessonEntry, moment: MomentName, name: string): LessonEntry {
  return { ...entry, [moment]: { ...entry[moment], balls: without(entry[moment].balls ?? {}, name) } };
}

/** Whether nothing of the first moment was entered yet. */
export function isBlank(entry: LessonEntry): boolean {
  const { readings, shots, balls } = entry.before;
  return (
    Object.keys(entry.signs).length === 0 &&
    readings.length === 0 &&
    Object.keys(balls ?? {}).length === 0 &&
    [shots.flight, shots.strike, shots.divot].every((counts) => total(counts) === 0)
  );
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

export type Try = Wire["TryEntry"];

/** The stages of a lesson in order, with the name that each is kept under. */
export function triesOf(entry: LessonEntry): { name: string; tried: Try }[] {
  return Object.entries(entry.tries ?? {})
    .map(([name, tried]) => ({ name, tried }))
    .sort((a, b) => a.tried.number - b.tried.number || a.name.localeCompare(b.name));
}

/** A lesson holds no more stages. */
export const MOST_TRIES = 12;

/** One more stage, after the last; with the same club and length unless it says, for so it is compared. */
export function withTry(
  entry: LessonEntry,
  name: string,
  drill?: string,
  part: Partial<Pick<Try, "length" | "begun" | "minutes">> = {},
): LessonEntry {
  const last = triesOf(entry).at(-1)?.tried;
  const tried: Try = {
    number: (last?.number ?? 0) + 1,
    drill,
    words: "",
    club: last?.club,
    length: last?.length,
    readings: [],
    shots: { flight: {}, strike: {}, divot: {} },
    same: [],
    ...part,
  };
  return { ...entry, tries: { ...entry.tries, [name]: tried } };
}

export function tryChanged(entry: LessonEntry, name: string, part: Partial<Try>): LessonEntry {
  const tried = entry.tries?.[name];
  return tried ? { ...entry, tries: { ...entry.tries, [name]: { ...tried, ...part } } } : entry;
}

export function withoutTry(entry: LessonEntry, name: string): LessonEntry {
  return { ...entry, tries: without(entry.tries ?? {}, name) };
}

/** A stage's balls and readings in place of the first ones, so that what counts those counts these. */
export function asMoment(tried: Try): LessonEntry {
  const none = { readings: [], shots: { flight: {}, strike: {}, divot: {} } };
  return {
    approach: {},
    signs: {},
    before: { readings: tried.readings, shots: tried.shots, club: tried.club, balls: tried.balls },
    after: none,
    note: "",
    tries: {},
  };
}

/** The other way round. */
export function ofMoment({ before }: LessonEntry): Partial<Try> {
  return { readings: before.readings, shots: before.shots, balls: before.balls };
}

/** One more ball in the stage that was added last. */
export function countedInLast(entry: LessonEntry, kind: Kind, result: string): LessonEntry {
  const last = triesOf(entry).at(-1);
  if (!last) return entry;
  return tryChanged(entry, last.name, ofMoment(counted(asMoment(last.tried), "before", kind, result, 1)));
}
