import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { queries, useCatalogue } from "@/api/queries";
import type { Hand } from "@/api/types";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { FileButton } from "@/ui/FileButton";
import { Failed } from "@/ui/Notice";
import { GolferPicture } from "../golfer/GolferPicture";
import { timeOf } from "../golfer/motion";
import { saidOf } from "./level";
import { type CameraView, VIEWS } from "./seen";
import { LEVEL } from "./stance";
import { useCamera, useHeld } from "./useCamera";

const WAITS = [0, 5, 10];

/** Fewer pictures a second are few for times. */
const ENOUGH = 50;

const REFUSED: Record<string, string> = {
  NotAllowedError: "The camera may not be used: allow it for this page in the browser's settings.",
  NotFoundError: "There is no camera here.",
  NotReadableError: "Another program has the camera.",
};

/** The camera's picture with a golfer to stand into, a self-timer, and how level it is held. */
export default function Camera({ hand, onFile }: { hand: Hand; onFile: (file: File) => void }) {
  const camera = useCamera(onFile);
  const held = useHeld();
  const [view, setView] = useState<CameraView>("face-on");
  const [wait, setWait] = useState(0);
  const { stream, state } = camera;
  const { doing, left } = state;
  const seen = stream?.getVideoTracks()[0]?.getSettings();
  const few = seen?.frameRate && seen.frameRate < ENOUGH;
  return (
    <div className="grid justify-items-center gap-3">
      <Choice
        label="Where the camera stands"
        value={view}
        options={VIEWS}
        onChange={(v) => setView(v as CameraView)}
      />
      {camera.error && <Failed error={new Error(REFUSED[camera.error.name] ?? camera.error.message)} />}
      <div className="bg-ink relative max-h-[44dvh] max-w-full overflow-hidden rounded">
        <Live stream={stream} />
        {doing === "ready" && <StandIn view={view} hand={hand} />}
        {(doing === "counting" || doing === "filming") && (
          <p
            role="timer"
            className={`absolute inset-x-0 mx-auto grid w-fit place-items-center rounded bg-black/60 px-3 text-white tabular-nums ${doing === "counting" ? "inset-y-0 my-auto h-fit text-9xl" : "top-2"}`}
          >
            {doing === "counting" ? left : `Filming, ${left} s left`}
          </p>
        )}
        {held && doing === "ready" && (
          <span
            aria-hidden
            className="absolute inset-x-[30%] top-1/2 border-t-2 border-white/80"
            style={{ rotate: `${-held.lean}deg` }}
          />
        )}
      </div>
      <p role="status" className="text-soft text-sm">
        {doing === "asking" && !camera.error && "Waiting for the camera …"}
        {doing === "ready" && (
          <>
            {held && `${saidOf(held)}. `}
            Hip high; whoever swings fills the figure.
            {seen?.frameRate &&
              ` ${Math.round(seen.frameRate)} pictures a second${few ? ", few for times" : ""}.`}
          </>
        )}
      </p>
      <div className="flex flex-wrap items-center justify-center gap-3">
        <label className="flex items-center gap-2">
          Begin
          <select value={wait} disabled={doing !== "ready"} onChange={(e) => setWait(Number(e.target.value))}>
            {WAITS.map((s) => (
              <option key={s} value={s}>
                {s === 0 ? "at once" : `after ${s} s`}
              </option>
            ))}
          </select>
        </label>
        {doing === "counting" || doing === "filming" ? (
          <Button weight="main" onClick={camera.stop}>
            Stop
          </Button>
        ) : (
          <Button weight="main" disabled={doing !== "ready"} onClick={() => camera.begin(wait)}>
            Film
          </Button>
        )}
        <FileButton camera label="With the device's own camera" accept="video/*" onFile={onFile}>
          The device’s own camera
        </FileButton>
      </div>
    </div>
  );
}

function Live({ stream }: { stream?: MediaStream }) {
  const video = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    if (video.current && stream) video.current.srcObject = stream;
  }, [stream]);
  return (
    <video
      ref={video}
      muted
      autoPlay
      playsInline
      aria-label="What the camera sees"
      className="block max-h-[44dvh] min-h-40 max-w-full"
    />
  );
}

/** A golfer at address, who is as far away as whoever swings should be. */
function StandIn({ view, hand }: { view: CameraView; hand: Hand }) {
  const catalogue = useCatalogue(hand);
  const school = catalogue.data?.schools[0]?.id ?? "";
  const motion = useQuery({ ...queries.swingMotion({}, hand, school), enabled: school !== "" });
  if (!motion.data) return null;
  return (
    <GolferPicture
      fit
      drawn={[{ motion: motion.data, seconds: timeOf(motion.data, "address") }]}
      hand={hand}
      view={LEVEL[view]}
      className="pointer-events-none absolute inset-x-0 top-[12%] mx-auto h-[76%] opacity-35"
    />
  );
}
