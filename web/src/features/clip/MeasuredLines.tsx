import type { Drawing } from "./lines";

/** The lead side's tone as it is on dark: a film is dark in places, and its frame without pictures is. */
const LEAD = "#7cc0d8";

const TONES = {
  body: { stroke: "#fff" },
  now: { stroke: LEAD },
  address: { stroke: "#fff", strokeDasharray: "6 5" },
};

/**
 * The lines that are measured in a picture, and how far to each side what they measure may lie: for the screen and for paper.
 *
 * @param line how wide a line is, pixels
 */
export function MeasuredLines({ drawing, line }: { drawing: Drawing; line: number }) {
  return (
    <>
      {drawing.bands.map((b) => (
        <rect
          key={b.x}
          x={b.x - b.half}
          width={2 * b.half}
          y={b.top}
          height={b.bottom - b.top}
          fill={LEAD}
          fillOpacity={0.25}
        />
      ))}
      {drawing.lines.map((l, i) => {
        const ends = { x1: l.from[0], y1: l.from[1], x2: l.to[0], y2: l.to[1] };
        return (
          <g key={i}>
            <line {...ends} stroke="#000" strokeOpacity={0.5} strokeWidth={2.6 * line} />
            <line {...ends} strokeWidth={1.4 * line} {...TONES[l.kind]} />
          </g>
        );
      })}
    </>
  );
}
