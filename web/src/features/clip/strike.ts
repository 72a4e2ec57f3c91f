import { isTooLoud, listenTo } from "../phone/hearing";

/** The sound of a film: samples of one channel from a time on, seconds. */
export type FilmSound = { samples: Float32Array; rate: number; from: number };

/** The strike is heard so near to where the hands are back, seconds. */
const NEAR = 0.1;
/** And it is short, seconds. */
const SHORT = 0.3;
/** Sound takes so long to a phone three to four metres away, seconds. */
const ON_ITS_WAY = 0.01;
/** What is about the room is heard so far around it, seconds. */
const AROUND = 1;

/** When the ball was struck, as the sound tells it; undefined where nothing short stands out of the room near impact. */
export function strikeNear({ samples, rate, from }: FilmSound, impact: number): number | undefined {
  const first = Math.max(0, Math.round((impact - AROUND - from) * rate));
  const last = Math.max(first, Math.round((impact + AROUND - from) * rate));
  const heard = listenTo(samples.subarray(first, last), rate);
  if (isTooLoud(heard)) return undefined;
  const near = heard.sounds
    .map((s) => ({ ...s, at: from + first / rate + s.at - ON_ITS_WAY }))
    .filter((s) => !s.tone && s.lasts <= SHORT && Math.abs(s.at - impact) <= NEAR)
    .sort((a, b) => b.loudness - a.loudness);
  return near[0]?.at;
}

/** The same of a film, once it is known where the hands are back; to a tenth of a millisecond. */
export function strikeOf(
  sound: FilmSound | undefined,
  moments: { id: string; time: number }[],
): number | undefined {
  const impact = moments.find((m) => m.id === "impact")?.time;
  const at = sound && impact !== undefined ? strikeNear(sound, impact) : undefined;
  return at === undefined ? undefined : Math.round(at * 1e4) / 1e4;
}
