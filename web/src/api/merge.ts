/** What goes over the wire as JSON. */
type Json = unknown;

/** Which numbers are counts: what each side counted is added up. */
export type Rules = { counts?: (path: string) => boolean; texts?: (path: string) => boolean };

/**
 * Puts together what two sides made of the same thing. Where only one side changed something, its change is taken;
 * counts are added up, entries of lists added and taken out by both, texts written by both stand under each other.
 * Where both changed one and the same value, mine stays.
 */
export function merge<T>(base: T, mine: T, theirs: T, rules: Rules = {}): T {
  return merged(base, mine, theirs, rules, "") as T;
}

function merged(base: Json, mine: Json, theirs: Json, rules: Rules, path: string): Json {
  if (same(mine, base)) return theirs;
  if (same(theirs, base)) return mine;
  if (isRecord(mine) && isRecord(theirs))
    return records(isRecord(base) ? base : {}, mine, theirs, rules, path);
  if (Array.isArray(mine) && Array.isArray(theirs))
    return lists(Array.isArray(base) ? base : [], mine, theirs);
  const numbers = [base ?? 0, mine ?? 0, theirs ?? 0];
  if (rules.counts?.(path) && numbers.every((n) => typeof n === "number")) {
    const [was, here, there] = numbers as [number, number, number];
    return Math.max(0, here + there - was);
  }
  if (rules.texts?.(path) && typeof mine === "string" && typeof theirs === "string") {
    return [theirs, mine].filter(Boolean).join("\n");
  }
  return mine;
}

type Fields = Record<string, Json>;

function records(base: Fields, mine: Fields, theirs: Fields, rules: Rules, path: string): Fields {
  const both: Fields = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = merged(base[key], mine[key], theirs[key], rules, path ? `${path}.${key}` : key);
    // A count that came to nothing, like what one side took out, is not there.
    const gone = value === undefined || (value === 0 && !(key in mine && key in theirs));
    if (!gone) both[key] = value;
  }
  return both;
}

function lists(base: Json[], mine: Json[], theirs: Json[]): Json[] {
  const has = (list: Json[], one: Json) => list.some((other) => same(other, one));
  const kept = theirs.filter((one) => !has(base, one) || has(mine, one));
  return [...kept, ...mine.filter((one) => !has(base, one) && !has(theirs, one))];
}

function isRecord(value: Json): value is Fields {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/** Whether both are the same over the wire, where what is missing and what is null are one. */
export function same(a: Json, b: Json): boolean {
  if ((a ?? null) === (b ?? null)) return true;
  if (Array.isArray(a) && Array.isArray(b)) {
    return a.length === b.length && a.every((one, i) => same(one, b[i]));
  }
  if (!isRecord(a) || !isRecord(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));
}

/** The paths, so many steps deep, at which two things differ. */
export function differences(a: Json, b: Json, depth = 2, path = ""): string[] {
  if (same(a, b)) return [];
  if (depth === 0 || !isRecord(a) || !isRecord(b)) return [path];
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
    differences(a[key], b[key], depth - 1, path ? `${path}.${key}` : key),
  );
}
