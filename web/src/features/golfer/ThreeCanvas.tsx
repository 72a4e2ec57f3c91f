import { useEffect, useRef } from "react";
import type { Hand } from "@/api/types";
import { cameraOf, type View } from "./camera";
import type { Look } from "./looks";
import { type Drawn, pictureOf } from "./scene";
import { Stage } from "./stage";

/** A browser keeps only so many of them. */
const MOST = 6;
const FINEST = 2;
let shown = 0;

/** The golfer in the round. Whoever shows it draws in ink instead once it cannot. */
export default function ThreeCanvas({
  drawn,
  hand,
  view,
  look,
  moving,
  onFailed,
}: {
  drawn: Drawn[];
  hand: Hand;
  view: View;
  look: Look;
  /** A picture that stands is drawn finer. */
  moving: boolean;
  onFailed: () => void;
}) {
  const place = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage>(undefined);
  const now = useRef({ drawn, hand, view, look, moving });
  const draw = () => {
    const { drawn, hand, view, look } = now.current;
    const pictures = drawn.map((d) => pictureOf(d, hand, look.build, view));
    const last = pictures[pictures.length - 1];
    if (last) stage.current?.draw({ figures: pictures, glows: last.glows }, cameraOf(view, hand));
  };
  const resize = () => {
    const at = place.current;
    if (!at) return;
    const ratio = now.current.moving ? Math.min(FINEST, window.devicePixelRatio) : FINEST;
    stage.current?.resize(at.clientWidth, at.clientHeight, ratio);
    draw();
  };
  useEffect(() => {
    now.current = { drawn, hand, view, look, moving };
    // A canvas of its own: one that was given up cannot be drawn on again.
    const at = document.createElement("canvas");
    at.className = "size-full";
    place.current!.append(at);
    const style = getComputedStyle(at);
    const colour = (name: string) => style.getPropertyValue(name).trim() || "#444";
    try {
      shown++;
      if (shown > MOST) throw new Error("as many golfers as a browser draws");
      stage.current = new Stage(at, look, {
        lead: colour("--lead"),
        trail: colour("--trail"),
        outline: colour("--outline"),
      });
    } catch {
      shown--;
      at.remove();
      return onFailed();
    }
    const lost = (event: Event) => {
      event.preventDefault();
      onFailed();
    };
    at.addEventListener("webglcontextlost", lost);
    const fit = new ResizeObserver(resize);
    fit.observe(at);
    return () => {
      shown--;
      fit.disconnect();
      at.removeEventListener("webglcontextlost", lost);
      stage.current?.dispose();
      stage.current = undefined;
      at.remove();
    };
    // A stage is made for one look; whose changes makes another.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [look]);
  useEffect(() => {
    now.current = { drawn, hand, view, look, moving };
    draw();
  });
  useEffect(resize, [moving]);
  return <div ref={place} className="size-full" aria-hidden />;
}
