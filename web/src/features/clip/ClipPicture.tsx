import { type ReactNode, useState } from "react";
import { Frame } from "./Frame";
import type { Drawing } from "./lines";
import { MeasuredLines } from "./MeasuredLines";
import { Picture } from "./Picture";
import type { PointName } from "./points";

/** One picture of a film with the lines that are measured; without a picture, the lines alone. */
export function ClipPicture({
  picture,
  mirrored,
  width,
  height,
  drawing,
  said,
  marks = [],
  small = false,
  children,
  onPress,
  onDrag,
}: {
  picture?: Blob | string;
  mirrored?: boolean;
  width: number;
  height: number;
  drawing: Drawing;
  /** What is to be seen, in words. */
  said: string;
  marks?: [number, number][];
  /** Laid over the picture, under the lines. */
  children?: ReactNode;
  /** Shown so small that thin lines would be lost. */
  small?: boolean;
  /** A place in the picture was pressed, in its pixels. */
  onPress?: (at: [number, number]) => void;
  /** A point was dragged by so much. */
  onDrag?: (point: PointName, by: [number, number]) => void;
}) {
  const line = width / (small ? 160 : 300);
  return (
    <Frame width={width} height={height} className="bg-ink">
      {picture && <Picture of={picture} mirrored={mirrored} />}
      {children}
      <svg
        role="img"
        aria-label={said}
        viewBox={`0 0 ${width} ${height}`}
        className={`absolute inset-0 size-full fill-none ${onPress ? "cursor-crosshair" : ""}`}
        onPointerDown={
          onPress &&
          ((e) => {
            const box = e.currentTarget.getBoundingClientRect();
            const tenth = (value: number) => Math.round(10 * value) / 10;
            onPress([
              tenth(((e.clientX - box.left) / box.width) * width),
              tenth(((e.clientY - box.top) / box.height) * height),
            ]);
          })
        }
      >
        <MeasuredLines drawing={drawing} line={line} />
        {!onDrag && drawing.dots.map((d) => <Dot key={d.name} dot={d} line={line} />)}
        {marks.map(([x, y], i) => (
          <path
            key={i}
            d={`M${x - 6 * line} ${y}h${12 * line}M${x} ${y - 6 * line}v${12 * line}`}
            strokeWidth={1.5 * line}
            className="stroke-white"
          />
        ))}
      </svg>
      {onDrag && (
        // Beside the picture, not in it: what is told as one thing has nothing in it to be used.
        <svg
          role="group"
          aria-label="Points"
          viewBox={`0 0 ${width} ${height}`}
          className="pointer-events-none absolute inset-0 size-full fill-none [&>*]:pointer-events-auto"
        >
          {drawing.dots.map((d) => (
            <Dot key={d.name} dot={d} line={line} onDrag={(by) => onDrag(d.name, by)} />
          ))}
        </svg>
      )}
    </Frame>
  );
}

const KEYS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A point, which may be dragged to where it is, or moved there by keys. */
function Dot({
  dot,
  line,
  onDrag,
}: {
  dot: Drawing["dots"][number];
  line: number;
  onDrag?: (by: [number, number]) => void;
}) {
  const [drag, setDrag] = useState<{ from: [number, number]; by: [number, number] }>();
  const [x, y] = drag?.by ?? [0, 0];
  const place = { cx: dot.at[0] + x, cy: dot.at[1] + y };
  const seen = dot.sure ? "fill-white stroke-black/60" : "fill-none stroke-white";
  const circle = <circle {...place} r={2.2 * line} strokeWidth={line} className={seen} />;
  if (!onDrag) return circle;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${dot.name.replace("-", " ")}: drag, or move by arrow keys`}
      className="group cursor-grab touch-none outline-none"
      onPointerDown={(e) => {
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
        setDrag({ from: [e.clientX, e.clientY], by: [0, 0] });
      }}
      onPointerMove={(e) => {
        if (!drag) return;
        const svg = e.currentTarget.ownerSVGElement!;
        const pixels = svg.viewBox.baseVal.width / svg.getBoundingClientRect().width;
        setDrag({
          ...drag,
          by: [(e.clientX - drag.from[0]) * pixels, (e.clientY - drag.from[1]) * pixels],
        });
      }}
      onPointerUp={() => {
        if (drag && Math.hypot(...drag.by) > 0) onDrag(drag.by);
        setDrag(undefined);
      }}
      onPointerCancel={() => setDrag(undefined)}
      onKeyDown={(e) => {
        const by = KEYS[e.key];
        if (!by) return;
        e.preventDefault();
        onDrag(by);
      }}
    >
      <circle
        {...place}
        r={8 * line}
        className="group-focus-visible:stroke-white fill-transparent"
        strokeWidth={line}
      />
      {circle}
    </g>
  );
}
