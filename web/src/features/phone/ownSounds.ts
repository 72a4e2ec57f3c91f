/** Until when the phone itself sounds, ms of the page's clock: what it hears till then is no rep. */
let until = 0;

/** The phone sounds for so long from now on, ms. */
export function sounding(ms: number) {
  until = Math.max(until, performance.now() + ms);
}

export function sounds(): boolean {
  return performance.now() < until;
}
