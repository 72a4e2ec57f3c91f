import type { Drawing } from "./lines";
import { Picture } from "./Picture";

const TONES = {
  body: "stroke-white",
  now: "stroke-lead",
  address: "stroke-white [stroke-dasharray:6_5]",
};

/** One picture of a film with the lines that are measured; without a picture, the lines alone. */
export function ClipPicture({
  picture,
  width,
  height,
  drawing,
  said,
  marks = [],
  onPress,
}: {
  picture?: Blob | string;
  width: number;
  height: number;
  drawing: Drawing;
  /** What is to be seen, in words. */
  said: string;
  marks?: [number, number][];
  /** A place in the picture was pressed, in its pixels. */
  onPress?: (at: [number, number]) => void;
}) {
  const line = width / 300;
  return (
    <div
      className="bg-ink relative mx-auto w-fit max-w-full overflow-hidden rounded"
      style={{ aspectRatio: `${width} / ${height}` }}
    >
      {picture && <Picture of={picture} />}
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
        {drawing.bands.map((b) => (
          <rect
            key={b.x}
            x={b.x - b.half}
            width={2 * b.half}
            y={b.top}
            height={b.bottom - b.top}
            className="fill-lead opacity-25"
          />
        ))}
        {drawing.lines.map((l, i) => (
          <g key={i}>
            <line
              x1={l.from[0]}
              y1={l.from[1]}
              x2={l.to[0]}
              y2={l.to[1]}
              strokeWidth={2.6 * line}
              className="stroke-black/50"
            />
            <line
              x1={l.from[0]}
              y1={l.from[1]}
              x2={l.to[0]}
              y2={l.to[1]}
              strokeWidth={1.4 * line}
              className={TONES[l.kind]}
            />
          </g>
        ))}
        {drawing.dots.map((d) => (
          <circle
            key={d.name}
            cx={d.at[0]}
            cy={d.at[1]}
            r={2.2 * line}
            strokeWidth={line}
            className={d.sure ? "fill-white stroke-black/60" : "fill-none stroke-white"}
          />
        ))}
        {marks.map(([x, y], i) => (
          <path
            key={i}
            d={`M${x - 6 * line} ${y}h${12 * line}M${x} ${y - 6 * line}v${12 * line}`}
            strokeWidth={1.5 * line}
            className="stroke-white"
          />
        ))}
      </svg>
    </div>
  );
}
