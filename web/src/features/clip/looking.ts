/** How much a film changes from one picture to the next, each at its time in seconds. */
export type Changes = { times: number[]; amounts: number[] };

/** A stretch of a film with one swing in it, seconds; the swing is fastest at the peak. */
export type Stretch = { from: number; to: number; peak: number };

/** A swing is looked at from so long before its fastest picture until so long after it, seconds. */
const BEFORE = 2;
const AFTER = 1.5;

/** As much of the film's fastest is a swing too, and so far apart are two, seconds. */
const AS_FAST = 0.5;
const APART = 2.5;

const SMOOTH = 0.06;

/** Where the swings of a film are, the earliest first: how much the picture changes tells. */
export function swingsIn({ times, amounts }: Changes): Stretch[] {
  const smooth = times.map((at) => {
    let sum = 0;
    let n = 0;
    for (let k = 0; k < times.length; k++)
      if (Math.abs(times[k]! - at) <= SMOOTH) {
        sum += amounts[k]!;
        n++;
      }
    return sum / n;
  });
  const most = Math.max(...smooth);
  if (!(most > 0)) return [];
  const peaks: number[] = [];
  for (const i of smooth.map((_, i) => i).sort((a, b) => smooth[b]! - smooth[a]!)) {
    if (smooth[i]! < AS_FAST * most) break;
    if (peaks.every((p) => Math.abs(times[p]! - times[i]!) > APART)) peaks.push(i);
  }
  return peaks
    .map((p) => times[p]!)
    .sort((a, b) => a - b)
    .map((peak) => ({
      from: Math.max(times[0]!, peak - BEFORE),
      to: Math.min(times[times.length - 1]!, peak + AFTER),
      peak,
    }));
}

/** Pictures a second that are looked at, and on the way down. */
const USUAL = 30;
const FAST = 120;
/** The way down lies around the fastest picture, seconds. */
const DOWN_BEFORE = 0.5;
const DOWN_AFTER = 0.2;

/** Which of a film's pictures are worth looking at: few while little happens, all where the club comes down. */
export function worthALook(times: number[], { from, to, peak }: Stretch): number[] {
  const chosen: number[] = [];
  let last = -Infinity;
  for (const at of times) {
    if (at < from || at > to) continue;
    const step = at > peak - DOWN_BEFORE && at < peak + DOWN_AFTER ? 1 / FAST : 1 / USUAL;
    if (at - last < step * 0.9) continue;
    chosen.push(at);
    last = at;
  }
  return chosen;
}

/** How much two pictures of grey differ, 0 to 255. */
export function difference(a: Uint8ClampedArray, b: Uint8ClampedArray): number {
  let sum = 0;
  for (let i = 1; i < a.length; i += 4) sum += Math.abs(a[i]! - b[i]!);
  return (4 * sum) / a.length;
}
