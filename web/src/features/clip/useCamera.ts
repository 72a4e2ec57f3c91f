import { useCallback, useEffect, useRef, useState } from "react";
import { ring } from "../phone/bell";
import { held, type Held } from "./level";

/** A film from the page ends by itself, seconds. */
export const LASTS = 10;

/** What is looked for first; some browsers take one, some the other. */
const FORMS = ["video/mp4;codecs=avc1", "video/webm;codecs=vp9", "video/webm;codecs=vp8", "video/webm"];

const WANTED: MediaTrackConstraints = {
  facingMode: "environment",
  width: { ideal: 1280 },
  height: { ideal: 720 },
  frameRate: { ideal: 60 },
};
/** As the strike sounds. */
const HEARD: MediaTrackConstraints = {
  echoCancellation: false,
  noiseSuppression: false,
  autoGainControl: false,
};

/** @param left seconds until it begins or ends */
export type CameraState = { doing: "asking" | "ready" | "counting" | "filming"; left: number };

/** Whether a page may ask for a camera here: only where nobody else listens on the way. */
export const hasCamera = () => !!navigator.mediaDevices?.getUserMedia && typeof MediaRecorder !== "undefined";

/** Some phones tell how they are held only after a tap. */
export function askHowHeld() {
  const asks = (window.DeviceOrientationEvent as { requestPermission?: () => Promise<string> } | undefined)
    ?.requestPermission;
  void asks?.call(window.DeviceOrientationEvent).catch(() => {});
}

async function open(): Promise<MediaStream> {
  try {
    return await navigator.mediaDevices.getUserMedia({ video: WANTED, audio: HEARD });
  } catch {
    // Without its sound the hands tell the strike.
    return navigator.mediaDevices.getUserMedia({ video: WANTED });
  }
}

/** The machine's camera: seen at once, filmed after a while, and let go at the end. */
export function useCamera(onFile: (file: File) => void) {
  const [stream, setStream] = useState<MediaStream>();
  const [error, setError] = useState<Error>();
  const [state, setState] = useState<CameraState>({ doing: "asking", left: 0 });
  const recorder = useRef<MediaRecorder>(undefined);
  const tick = useRef<ReturnType<typeof setInterval>>(undefined);
  useEffect(() => {
    let over = false;
    let opened: MediaStream | undefined;
    open().then(
      (s) => {
        opened = s;
        if (over) return s.getTracks().forEach((t) => t.stop());
        setStream(s);
        setState({ doing: "ready", left: 0 });
        s.getVideoTracks()[0]!.onended = () => {
          clearInterval(tick.current);
          setState({ doing: "asking", left: 0 });
          setError(new Error("The camera is gone: close this and open it again."));
        };
      },
      (e: Error) => !over && setError(e),
    );
    return () => {
      over = true;
      clearInterval(tick.current);
      if (recorder.current) recorder.current.onstop = null;
      opened?.getTracks().forEach((t) => t.stop());
    };
  }, []);

  const count = (doing: CameraState["doing"], seconds: number, onEnd: () => void) => {
    let left = seconds;
    setState({ doing, left });
    clearInterval(tick.current);
    tick.current = setInterval(() => {
      left--;
      setState({ doing, left });
      if (left > 0) return;
      clearInterval(tick.current);
      onEnd();
    }, 1000);
  };
  const stop = useCallback(() => {
    clearInterval(tick.current);
    if (recorder.current?.state === "recording") recorder.current.stop();
    else setState({ doing: "ready", left: 0 });
  }, []);
  const film = () => {
    if (!stream) return;
    const form = FORMS.find((f) => MediaRecorder.isTypeSupported(f));
    const pieces: Blob[] = [];
    const recording = new MediaRecorder(stream, { mimeType: form, videoBitsPerSecond: 8_000_000 });
    recording.ondataavailable = (e) => pieces.push(e.data);
    recording.onstop = () => {
      setState({ doing: "ready", left: 0 });
      const type = recording.mimeType.split(";")[0]!;
      onFile(new File(pieces, `film.${type.endsWith("mp4") ? "mp4" : "webm"}`, { type }));
    };
    recorder.current = recording;
    recording.start();
    ring();
    count("filming", LASTS, stop);
  };
  return {
    stream,
    error,
    state,
    /** @param wait seconds before it begins */
    begin: (wait: number) => (wait > 0 ? count("counting", wait, film) : film()),
    stop,
  };
}

/** How the device is held, as often as it tells. */
export function useHeld(): Held | undefined {
  const [now, setNow] = useState<Held>();
  useEffect(() => {
    const told = ({ beta, gamma }: DeviceOrientationEvent) => {
      if (beta !== null && gamma !== null) setNow(held(beta, gamma, screen.orientation?.angle ?? 0));
    };
    window.addEventListener("deviceorientation", told);
    return () => window.removeEventListener("deviceorientation", told);
  }, []);
  return now;
}
