import type { Kind } from "./changes";

/** A key for each result of a ball; y, n, x, z and the digits have other work. */
export const TALLY_KEYS: Record<string, { kind: Kind; result: string }> = {
  a: { kind: "flight", result: "straight" },
  d: { kind: "flight", result: "draw" },
  f: { kind: "flight", result: "fade" },
  h: { kind: "flight", result: "hook" },
  s: { kind: "flight", result: "slice" },
  u: { kind: "flight", result: "push" },
  l: { kind: "flight", result: "pull" },
  o: { kind: "flight", result: "low" },
  w: { kind: "flight", result: "high-weak" },
  c: { kind: "strike", result: "solid" },
  g: { kind: "strike", result: "fat" },
  i: { kind: "strike", result: "thin" },
  t: { kind: "strike", result: "topped" },
  e: { kind: "strike", result: "toe" },
  k: { kind: "strike", result: "shank" },
  b: { kind: "divot", result: "none" },
  m: { kind: "divot", result: "thin" },
  v: { kind: "divot", result: "deep" },
};

export function keyFor(kind: Kind, result: string): string | undefined {
  return Object.keys(TALLY_KEYS).find(
    (key) => TALLY_KEYS[key]?.kind === kind && TALLY_KEYS[key]?.result === result,
  );
}

/** Whether a key press belongs to a field being typed in, or to a shortcut of the browser. */
export function belongsElsewhere(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  const target = event.target as HTMLElement | null;
  return (
    !!target?.closest("input, select, textarea, [contenteditable], [role=dialog]") || event.defaultPrevented
  );
}
