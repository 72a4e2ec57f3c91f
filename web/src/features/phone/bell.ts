import { sounding } from "./ownSounds";

const KEY = "hodegon-bell";

/** The tone, and what a room makes of it. */
const SOUNDS_MS = 900;

/** Whether the end of a rest may be heard on this phone. */
export function bellOn(): boolean {
  return localStorage.getItem(KEY) !== "off";
}

export function setBell(on: boolean) {
  localStorage.setItem(KEY, on ? "on" : "off");
}

/** A soft tone and a short buzz, where the phone can and the student wants them. */
export function ring() {
  if (!bellOn()) return;
  navigator.vibrate?.(120);
  const Sound = window.AudioContext;
  if (!Sound) return;
  const sound = new Sound();
  sounding(SOUNDS_MS);
  const tone = sound.createOscillator();
  const volume = sound.createGain();
  tone.frequency.value = 528;
  volume.gain.setValueAtTime(0.12, sound.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, sound.currentTime + 0.5);
  tone.connect(volume).connect(sound.destination);
  tone.start();
  tone.stop(sound.currentTime + 0.5);
  tone.onended = () => void sound.close();
}
