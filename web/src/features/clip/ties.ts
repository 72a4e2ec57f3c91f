type Moments = { id: string; time: number }[];

/** The time in another swing that a time in this one is, seconds: its moments lie on these, and what lies between goes evenly. */
export function byMoments(here: Moments, there: Moments, seconds: number): number {
  const ties = here
    .map((m) => ({ here: m.time, there: there.find((other) => other.id === m.id)?.time }))
    .filter((t): t is { here: number; there: number } => t.there !== undefined)
    .sort((a, b) => a.here - b.here);
  const next = ties.find((t) => t.here >= seconds);
  const last = ties.filter((t) => t.here <= seconds).at(-1);
  if (!next || !last) return (next ?? last)?.there ?? 0;
  if (next.here === last.here) return next.there;
  return last.there + ((next.there - last.there) * (seconds - last.here)) / (next.here - last.here);
}

const strike = (moments: Moments) => moments.find((m) => m.id === "impact")?.time;

/** So much later is a time here in another recording of the same swing: both know the strike. Undefined where not both do. */
export function strikesApart(here: Moments, there: Moments): number | undefined {
  const [mine, theirs] = [strike(here), strike(there)];
  return mine === undefined || theirs === undefined ? undefined : theirs - mine;
}
