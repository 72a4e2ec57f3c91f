import { useEffect, useEffectEvent, useState } from "react";
import { beatOf, type HandsFree, type Tempo } from "./handsFree";
import { isTooLoud, listenTo, type Release, releaseIn } from "./hearing";
import { sounds } from "./ownSounds";

const LOOK_EVERY_MS = 150;
/** The longest piece that a browser gives at once. */
const PIECE = 32768;
/** A sound at the very end of a piece may go on: it is told with the next. */
const SETTLED_S = 0.12;
/** Two reps, or two strikes, are never nearer than this. */
const APART_S = 1;
/** Where a strike is waited for after a release. */
const TAIL_S = 0.25;

export type Listening = "off" | "asking" | "on" | "too-loud" | "refused" | "unable";

/** A beat in the student's own tempo, as long as it is wanted. */
export function useBeat(on: boolean, tempo: Tempo) {
  const { backswing, downswing } = tempo;
  useEffect(() => {
    if (!on || !window.AudioContext) return;
    const sound = new AudioContext();
    const { at, every } = beatOf({ backswing, downswing });
    const play = () => at.forEach((ms, i) => click(sound, sound.currentTime + ms / 1000, 440 * (i + 1)));
    play();
    const timer = setInterval(play, every);
    return () => {
      clearInterval(timer);
      void sound.close();
    };
  }, [on, backswing, downswing]);
}

function click(sound: AudioContext, at: number, hertz: number) {
  const tone = sound.createOscillator();
  const volume = sound.createGain();
  tone.frequency.value = hertz;
  volume.gain.setValueAtTime(0.25, at);
  volume.gain.exponentialRampToValueAtTime(0.001, at + 0.07);
  tone.connect(volume).connect(sound.destination);
  tone.start(at);
  tone.stop(at + 0.08);
}

/**
 * Listens as long as something that needs it is wanted: counts short sounds, times the release of a sounding prop.
 * Looks at less than a second of sound at a time and keeps none of it.
 */
export function useHearing(
  wanted: Pick<HandsFree, "sound" | "release">,
  heard: { onCount: () => void; onRelease: (release: Release) => void },
): Listening {
  const [state, setState] = useState<Listening>("off");
  const onCount = useEffectEvent(heard.onCount);
  const onRelease = useEffectEvent(heard.onRelease);
  const { sound, release } = wanted;
  const listening = sound || release;
  useEffect(() => {
    if (!listening) return;
    let over = false;
    let end = () => {};
    const begin = async () => {
      if (!navigator.mediaDevices?.getUserMedia || !window.AudioContext) return setState("unable");
      setState("asking");
      const stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      });
      const context = new AudioContext();
      const analyser = context.createAnalyser();
      analyser.fftSize = PIECE;
      context.createMediaStreamSource(stream).connect(analyser);
      const samples = new Float32Array(analyser.fftSize);
      const length = samples.length / context.sampleRate;
      let last = context.currentTime;
      const look = () => {
        const begun = context.currentTime - length;
        analyser.getFloatTimeDomainData(samples);
        const piece = listenTo(samples, context.sampleRate);
        setState(isTooLoud(piece) ? "too-loud" : "on");
        if (isTooLoud(piece)) return;
        if (sounds()) {
          // The phone's own bell: only what comes after it counts.
          last = context.currentTime - APART_S;
          return;
        }
        const settled = piece.sounds.filter((s) => s.at < length - SETTLED_S);
        if (sound && settled.some((s) => begun + s.at > last + APART_S)) {
          last = begun + settled.at(-1)!.at;
          onCount();
        }
        const strike = piece.sounds.filter((s) => !s.tone && s.at < length - TAIL_S).at(-1);
        if (release && strike && begun + strike.at > last + APART_S) {
          last = begun + strike.at;
          onRelease(releaseIn(piece));
        }
      };
      const timer = setInterval(look, LOOK_EVERY_MS);
      end = () => {
        clearInterval(timer);
        stream.getTracks().forEach((t) => t.stop());
        void context.close();
      };
      if (over) end();
    };
    begin().catch(() => setState("refused"));
    return () => {
      over = true;
      end();
      setState("off");
    };
  }, [listening, sound, release]);
  return state;
}
