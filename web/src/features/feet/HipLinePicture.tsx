import type { Hand } from "@/api/types";
import { LEFT_FOOT } from "./footShape";

/** The hip line over both feet from above, the target to the lead side; the part to press is inked. */
export function HipLinePicture({
  hand,
  degrees,
  wanted,
  press,
}: {
  hand: Hand;
  /** Open is plus. */
  degrees: number;
  /** The most closed and the most open line that fit. */
  wanted: [number, number];
  /** lead-toe or lead-heel. */
  press: string | undefined;
}) {
  // Facing the ball, a right-hander's target lies to the left; open hips turn to it.
  const turn = hand === "right" ? -1 : 1;
  const end = (open: number, side: 1 | -1) => {
    const angle = (turn * open * Math.PI) / 180;
    return `${160 + side * 120 * Math.cos(angle)} ${70 + side * 120 * Math.sin(angle)}`;
  };
  const leadX = hand === "right" ? 70 : 250;
  const [low, high] = wanted;
  return (
    <svg
      viewBox="0 0 320 170"
      role="img"
      aria-label={`Hip line from above${press ? `, press the ${press.replace("-", " ")}` : ""}`}
      className="w-64"
    >
      <path
        d={`M160 70 L${end(low, 1)} L${end(high, 1)} Z M160 70 L${end(low, -1)} L${end(high, -1)} Z`}
        fill="var(--tint)"
        stroke="var(--strong-line)"
        strokeDasharray="3 3"
      />
      <line x1="20" x2="300" y1="70" y2="70" stroke="var(--line)" strokeWidth="1.5" />
      <path
        d={`M${end(degrees, 1)} L${end(degrees, -1)}`}
        stroke="var(--ink)"
        strokeWidth="6"
        strokeLinecap="round"
        className="moves"
      />
      {[70, 250].map((x) => {
        const left = x === 70;
        const lead = x === leadX;
        return (
          <g key={x} transform={`translate(${x - 18} 84) scale(0.36 0.34)`}>
            <g transform={left ? undefined : "translate(100 0) scale(-1 1)"}>
              <clipPath id={`hip-${x}`}>
                <path d={LEFT_FOOT} />
              </clipPath>
              {lead && press && (
                <rect
                  x="0"
                  y={press === "lead-toe" ? 0 : 130}
                  width="100"
                  height="110"
                  fill="var(--lead)"
                  clipPath={`url(#hip-${x})`}
                />
              )}
              <path d={LEFT_FOOT} fill="none" stroke={`var(--${lead ? "lead" : "trail"})`} strokeWidth="6" />
            </g>
          </g>
        );
      })}
      <text
        x={hand === "right" ? 4 : 316}
        y="14"
        textAnchor={hand === "right" ? "start" : "end"}
        fontSize="13"
        fill="var(--soft)"
      >
        {hand === "right" ? "← target" : "target →"}
      </text>
    </svg>
  );
}
