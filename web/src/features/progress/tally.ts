/** Balls counted in this tally. */
export function total(counts: Record<string, number> | undefined | null): number {
  return Object.values(counts ?? {}).reduce((sum, n) => sum + n, 0);
}
