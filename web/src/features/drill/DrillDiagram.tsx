import { useId } from "react";
import type { Drill, Hand } from "@/api/types";
import { LEFT_FOOT } from "../feet/footShape";

type Diagram = Drill["diagram"];

/** Where each zone lies on a foot, in the left foot's own box (outer edge on the left). */
const SPOT: Record<string, { x: number; y: number; rx: number; ry: number }> = {
  toe: { x: 52, y: 44, rx: 30, ry: 28 },
  heel: { x: 50, y: 200, rx: 24, ry: 26 },
  inner: { x: 74, y: 118, rx: 13, ry: 70 },
  outer: { x: 26, y: 118, rx: 13, ry: 70 },
  sole: { x: 50, y: 120, rx: 32, ry: 96 },
};

const GAP: Record<string, number> = { normal: 60, together: 8, staggered: 60 };

/** Feet, props and direction of a drill, drawn from its data for the student's hand. */
export function DrillDiagram({ diagram, hand, title }: { diagram: Diagram; hand: Hand; title: string }) {
  const leadIsLeft = hand === "right";
  const gap = GAP[diagram.stance] ?? 60;
  const leftX = 150 - gap / 2 - 100;
  const rightX = 150 + gap / 2;
  const back = diagram.stance === "staggered" ? 40 : 0;
  return (
    <svg viewBox="-44 -8 388 316" role="img" aria-label={`Feet for ${title}`} className="w-full">
      <DrillFoot
        role={leadIsLeft ? "lead" : "trail"}
        left
        x={leftX}
        y={leadIsLeft ? 20 : 20 + back}
        diagram={diagram}
      />
      <DrillFoot
        role={leadIsLeft ? "trail" : "lead"}
        left={false}
        x={rightX}
        y={leadIsLeft ? 20 + back : 20}
        diagram={diagram}
      />
      <Movement
        move={diagram.move}
        leadX={leadIsLeft ? leftX + 50 : rightX + 50}
        trailX={leadIsLeft ? rightX + 50 : leftX + 50}
      />
    </svg>
  );
}

function DrillFoot({
  role,
  left,
  x,
  y,
  diagram,
}: {
  role: "lead" | "trail";
  left: boolean;
  x: number;
  y: number;
  diagram: Diagram;
}) {
  const id = useId();
  const mine = (zone: string) => zone.startsWith(role);
  const spot = (zone: string) => SPOT[zone.slice(role.length + 1)] ?? SPOT.sole!;
  return (
    <g transform={left ? `translate(${x} ${y})` : `translate(${x + 100} ${y}) scale(-1 1)`}>
      <defs>
        <clipPath id={`${id}c`}>
          <path d={LEFT_FOOT} />
        </clipPath>
        <pattern
          id={`${id}h`}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="3.4" height="7" fill="var(--trail)" />
        </pattern>
      </defs>
      {diagram.props
        .filter((p) => mine(p.at))
        .map((p) => (
          <Prop key={p.at + p.shape} shape={p.shape} {...spot(p.at)} edge={p.at.slice(role.length + 1)} />
        ))}
      <g clipPath={`url(#${id}c)`}>
        {diagram.press.filter(mine).map((zone) => (
          <ellipse
            key={zone}
            cx={spot(zone).x}
            cy={spot(zone).y}
            rx={spot(zone).rx}
            ry={spot(zone).ry}
            fill={role === "trail" ? `url(#${id}h)` : "var(--lead)"}
            opacity={role === "trail" ? 0.9 : 0.55}
          />
        ))}
      </g>
      <path d={LEFT_FOOT} fill="none" stroke={`var(--${role})`} strokeWidth="3" />
    </g>
  );
}

function Prop({ shape, x, y, edge }: { shape: string; x: number; y: number; edge: string }) {
  const look = { fill: "var(--sheet)", stroke: "var(--ink)", strokeWidth: 3 };
  const out = edge === "outer" ? -14 : edge === "inner" ? 14 : 0;
  switch (shape) {
    case "disc":
      return <circle cx="50" cy="120" r="92" {...look} strokeDasharray="8 5" />;
    case "rod":
      return edge === "sole" ? (
        <line x1="50" x2="50" y1="-14" y2="254" stroke="var(--ink)" strokeWidth="7" />
      ) : (
        <line
          x1="0"
          x2="100"
          y1={edge === "toe" ? -6 : 246}
          y2={edge === "toe" ? -6 : 246}
          stroke="var(--ink)"
          strokeWidth="7"
        />
      );
    case "stick":
      return <circle cx={x + out} cy={y - 90} r="8" fill="var(--ink)" />;
    case "wedge":
      return <rect x="4" y={y - 46} width="92" height="26" rx="12" {...look} />;
    case "half-ball":
      return <circle cx={x} cy={y} r="22" {...look} />;
    default:
      return <circle cx={x + out} cy={y - 20} r="18" {...look} />;
  }
}

/** One arrow for what moves. */
function Movement({ move, leadX, trailX }: { move: string; leadX: number; trailX: number }) {
  const id = useId();
  const away = Math.sign(trailX - leadX);
  const stroke = { stroke: "var(--ink)", strokeWidth: 4, fill: "none", markerEnd: `url(#${id}a)` };
  const arrow: Record<string, string> = {
    "turn-trail-foot": `M${trailX - away * 34} 40 A 60 60 0 0 ${away > 0 ? 1 : 0} ${trailX + away * 50} 44`,
    "turn-body": `M150 150 m${-away * 44} -60 A 62 62 0 0 ${away > 0 ? 1 : 0} ${150 + away * 56} 104`,
    "roll-in": `M${trailX + away * 42} 150 H${trailX - away * 34}`,
    "step-lead": `M${(leadX + trailX) / 2} 282 H${leadX - away * 46}`,
    "step-trail": `M${(leadX + trailX) / 2} 282 H${trailX + away * 46}`,
    "shift-lead": `M${trailX} 282 H${leadX}`,
    "shift-trail": `M${leadX} 282 H${trailX}`,
    "lift-trail-heel": `M${trailX} 290 V222`,
    rock: `M${trailX} 282 H${leadX}`,
  };
  const d = arrow[move];
  if (!d) return null;
  return (
    <>
      <defs>
        <marker
          id={`${id}a`}
          viewBox="0 0 10 10"
          refX="7"
          refY="5"
          markerWidth="5"
          markerHeight="5"
          orient="auto-start-reverse"
        >
          <path d="M0 0 L10 5 L0 10 Z" fill="var(--ink)" />
        </marker>
      </defs>
      <path d={d} {...stroke} markerStart={move === "rock" ? `url(#${id}a)` : undefined} />
    </>
  );
}
