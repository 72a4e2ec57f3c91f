/**
 * What is heard in a piece of sound. All of it is worked out from the samples at hand and forgotten with them: nothing
 * is recorded and nothing is sent.
 */

/**
 * A sound that stands out of the room.
 *
 * @property at seconds from the first sample to its beginning
 * @property lasts seconds
 * @property loudness root mean square at its loudest, of full scale
 * @property tone whether it sings, as a squeezed toy does, and does not crack, as a ball does
 */
export type Sound = { at: number; lasts: number; loudness: number; tone: boolean };

/** @property room loudness of the quieter part, root mean square of full scale */
export type Heard = { room: number; sounds: Sound[] };

const FRAME_S = 0.005;
/** A room as loud as this hides a ball behind it. */
const TOO_LOUD = 0.06;
/** So many times louder than the room something stands out of it. */
const STANDS_OUT = 6;
const FAINTEST = 0.012;
/** A jump within a sound is the beginning of another. */
const JUMP = 1.6;
/** So many quiet frames end a sound. */
const GAP = 4;
/** How alike a sound is to itself a moment later, 0 to 1, from which on it sings. */
const SINGS = 0.6;
const LOWEST_HZ = 250;
const HIGHEST_HZ = 5000;
const LOOKED_AT_S = 0.012;

export function isTooLoud(heard: Heard): boolean {
  return heard.room > TOO_LOUD;
}

/** The sounds in these samples, in order. */
export function listenTo(samples: Float32Array, rate: number): Heard {
  const size = Math.max(1, Math.round(rate * FRAME_S));
  const loud = Array.from({ length: Math.floor(samples.length / size) }, (_, i) =>
    rms(samples, i * size, (i + 1) * size),
  );
  const room = [...loud].sort((a, b) => a - b)[Math.floor(loud.length * 0.3)] ?? 0;
  const threshold = Math.max(FAINTEST, room * STANDS_OUT);
  const pieces: { from: number; to: number }[] = [];
  let quiet = GAP;
  loud.forEach((now, i) => {
    const before = Math.max(loud[i - 1] ?? 0, loud[i - 2] ?? 0);
    const piece = pieces.at(-1);
    if (now < threshold) quiet++;
    else if (!piece || quiet >= GAP || (now > JUMP * before && i - piece.from > 2)) {
      pieces.push({ from: i, to: i + 1 });
      quiet = 0;
    } else {
      piece.to = i + 1;
      quiet = 0;
    }
  });
  return {
    room,
    sounds: pieces.map(({ from, to }) => {
      const at = onset(samples, from * size, Math.min(to, from + 4) * size);
      return {
        at: at / rate,
        lasts: ((to - from) * size) / rate,
        loudness: Math.max(...loud.slice(from, to)),
        tone: likeness(samples, at, rate) >= SINGS,
      };
    }),
  };
}

/**
 * How long before the strike a sounding prop was let go.
 *
 * @property ms before the strike; negative after it
 */
export type Release =
  { kind: "timed"; ms: number } | { kind: "no-strike" } | { kind: "silent" } | { kind: "too-loud" };

/** The strike is the loudest crack, the release the beginning of the tone nearest to it. */
export function releaseIn(heard: Heard): Release {
  if (isTooLoud(heard)) return { kind: "too-loud" };
  const tones = heard.sounds.filter((s) => s.tone);
  const strike = heard.sounds
    .filter((s) => !s.tone)
    .reduce<Sound | undefined>(
      (loudest, s) => (s.loudness > (loudest?.loudness ?? 0) ? s : loudest),
      undefined,
    );
  if (tones.length === 0) return { kind: "silent" };
  if (!strike) return { kind: "no-strike" };
  const near = (s: Sound) => Math.abs(strike.at - s.at);
  const release = tones.reduce((a, b) => (near(b) < near(a) ? b : a));
  return { kind: "timed", ms: Math.round(1000 * (strike.at - release.at)) };
}

function rms(samples: Float32Array, from: number, to: number): number {
  let sum = 0;
  for (let i = from; i < to; i++) sum += samples[i]! * samples[i]!;
  return Math.sqrt(sum / Math.max(1, to - from));
}

/** The sample from which on it is there: the first at a third of what follows. */
function onset(samples: Float32Array, from: number, to: number): number {
  let peak = 0;
  for (let i = from; i < to; i++) peak = Math.max(peak, Math.abs(samples[i]!));
  for (let i = from; i < to; i++) if (Math.abs(samples[i]!) >= peak / 3) return i;
  return from;
}

/** The best agreement of a sound's beginning with itself a moment later: normalised autocorrelation, at most 1. */
function likeness(samples: Float32Array, at: number, rate: number): number {
  const length = Math.min(samples.length - at, Math.round(rate * LOOKED_AT_S));
  const shortest = Math.max(1, Math.floor(rate / HIGHEST_HZ));
  const longest = Math.min(Math.floor(length / 2), Math.ceil(rate / LOWEST_HZ));
  let best = 0;
  let dipped = false;
  for (let lag = shortest; lag <= longest; lag++) {
    let both = 0;
    let here = 0;
    let there = 0;
    for (let i = at; i < at + length - lag; i++) {
      const a = samples[i]!;
      const b = samples[i + lag]!;
      both += a * b;
      here += a * a;
      there += b * b;
    }
    const alike = here * there === 0 ? 0 : both / Math.sqrt(here * there);
    // Next to itself everything is like itself: only a likeness that comes back counts.
    if (alike < 0.3) dipped = true;
    else if (dipped) best = Math.max(best, alike);
  }
  return best;
}
