import { describe, expect, it } from "vitest";
import { answerFor, beatOf, NONE, want, wanted, wish } from "./handsFree";
import { isTooLoud, listenTo, releaseIn } from "./hearing";

const RATE = 48_000;

/** The same noise every time: a linear congruential generator, −1 to 1. */
function noise(seed = 1) {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state / 2 ** 31 - 1) % 1;
  };
}

/** A made-up room with sounds in it. */
function room(seconds: number, loudness: number, seed = 1) {
  const next = noise(seed);
  const samples = Float32Array.from({ length: seconds * RATE }, () => loudness * next());
  const add = (at: number, lasts: number, sound: (t: number) => number) => {
    for (let i = 0; i < lasts * RATE; i++) samples[Math.round(at * RATE) + i]! += sound(i / RATE);
    return made;
  };
  const crack = noise(seed + 7);
  const made = {
    samples,
    /** A club on a ball: noise that is gone at once. */
    strike: (at: number, loud = 0.8) => add(at, 0.04, (t) => loud * Math.exp(-t / 0.006) * crack()),
    /** A squeezed toy: a tone with its overtone, wavering a little. */
    squeak: (at: number, lasts = 0.16, hertz = 1900) =>
      add(
        at,
        lasts,
        (t) => 0.25 * (Math.sin(2 * Math.PI * hertz * t) + 0.4 * Math.sin(4 * Math.PI * hertz * t)),
      ),
  };
  return made;
}

describe("hearing", () => {
  it("hears nothing in a quiet room", () => {
    expect(listenTo(room(0.7, 0.004).samples, RATE).sounds).toEqual([]);
    expect(releaseIn(listenTo(room(0.7, 0.004).samples, RATE))).toEqual({ kind: "silent" });
  });

  it("tells a crack from a tone", () => {
    const heard = listenTo(room(0.7, 0.004).strike(0.5).squeak(0.2).samples, RATE);
    expect(heard.sounds.map((s) => s.tone)).toEqual([true, false]);
    expect(heard.sounds[0]!.at).toBeCloseTo(0.2, 2);
    expect(heard.sounds[1]!.at).toBeCloseTo(0.5, 2);
  });

  it.each([
    [0.2, 0.5, 300],
    [0.35, 0.45, 100],
    [0.5, 0.4, -100],
  ])("times a release at %d s against a strike at %d s, in noise of any seed", (release, strike, ms) => {
    for (let seed = 1; seed <= 20; seed++) {
      const heard = listenTo(room(0.7, 0.01, seed).squeak(release).strike(strike).samples, RATE);
      const found = releaseIn(heard);
      expect(found.kind).toBe("timed");
      expect(Math.abs((found as { ms: number }).ms - ms)).toBeLessThanOrEqual(6);
    }
  });

  it("says what it did not hear", () => {
    expect(releaseIn(listenTo(room(0.7, 0.004).squeak(0.3).samples, RATE)).kind).toBe("no-strike");
    expect(releaseIn(listenTo(room(0.7, 0.004).strike(0.3).samples, RATE)).kind).toBe("silent");
  });

  it("is honest where it is too loud to tell", () => {
    const heard = listenTo(room(0.7, 0.3).squeak(0.2).strike(0.5).samples, RATE);
    expect(isTooLoud(heard)).toBe(true);
    expect(releaseIn(heard)).toEqual({ kind: "too-loud" });
  });

  it("hears at the rate of any phone", () => {
    const slow = Float32Array.from({ length: 0.7 * 16_000 }, (_, i) =>
      i > 4800 && i < 6400 ? 0.3 * Math.sin((2 * Math.PI * 1500 * i) / 16_000) : 0,
    );
    expect(listenTo(slow, 16_000).sounds).toMatchObject([{ tone: true }]);
  });
});

describe("a beat", () => {
  it("is not heard by the phone that makes it: the later wish ends the earlier one", () => {
    const beat = wish(NONE, { beat: true });
    expect(beat).toEqual({ ...NONE, beat: true });
    expect(wish(beat, { tap: true })).toEqual({ ...NONE, beat: true, tap: true });
    expect(wish(beat, { sound: true })).toEqual({ ...NONE, sound: true });
    expect(wish({ ...NONE, sound: true, release: true }, { beat: true })).toEqual({ ...NONE, beat: true });
    // Both were wanted on this phone before they excluded each other.
    want({ ...NONE, beat: true, release: true });
    expect(wanted()).toEqual({ ...NONE, release: true });
  });

  it("has the student's own times", () => {
    expect(beatOf({ backswing: 900, downswing: 300 }).at).toEqual([0, 900, 1200]);
  });

  it("answers what the prop asks", () => {
    expect([answerFor(180), answerFor(40), answerFor(-20), answerFor(null)]).toEqual([
      "before-level",
      "later",
      "later",
      "silent",
    ]);
  });
});
