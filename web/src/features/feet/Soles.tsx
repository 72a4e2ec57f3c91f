import { useId } from "react";
import type { Hand } from "@/api/types";
import { LEFT_FOOT, ZONES, zoneLoads } from "./footShape";

type Props = {
  hand: Hand;
  /** Load under the trail foot, %. */
  trailShare: number;
  trailToe?: number;
  leadToe?: number;
  trailOuter?: number;
  leadOuter?: number;
  /** The school's corridor of the trail share, %. */
  corridor?: number[];
  /** The trail share of an earlier lesson, laid under, %. */
  earlier?: number;
  /** In the student's own words: left and right only. */
  plain?: boolean;
};

const SPACING = 9;

/** Two footprints from above; the more load, the more ink. Lead is drawn solid, trail hatched. */
export function Soles(props: Props) {
  const { hand, trailShare, corridor } = props;
  // Facing the ball, a right-hander's lead foot is the left one.
  const leadIsLeft = hand === "right";
  const lead = {
    share: 100 - Math.round(trailShare),
    toe: props.leadToe ?? 50,
    outer: props.leadOuter ?? 50,
  };
  const trail = { share: trailShare, toe: props.trailToe ?? 50, outer: props.trailOuter ?? 50 };
  const said = `Load: ${Math.round(lead.share)} % on the ${leadIsLeft ? "left" : "right"} foot, ${Math.round(trail.share)} % on the ${leadIsLeft ? "right" : "left"}.`;
  return (
    <svg viewBox="0 0 300 290" role="img" aria-label={said} className="w-full">
      {props.earlier !== undefined && (
        <>
          <Shadow left share={leadIsLeft ? 100 - props.earlier : props.earlier} x={30} />
          <Shadow left={false} share={leadIsLeft ? props.earlier : 100 - props.earlier} x={170} />
        </>
      )}
      <Foot left load={leadIsLeft ? lead : trail} role={leadIsLeft ? "lead" : "trail"} x={30} />
      <Foot left={false} load={leadIsLeft ? trail : lead} role={leadIsLeft ? "trail" : "lead"} x={170} />
      <Label
        x={80}
        foot={leadIsLeft ? "lead" : "trail"}
        side="left"
        share={leadIsLeft ? lead.share : trail.share}
        plain={props.plain}
      />
      <Label
        x={220}
        foot={leadIsLeft ? "trail" : "lead"}
        side="right"
        share={leadIsLeft ? trail.share : lead.share}
        plain={props.plain}
      />
      {corridor && (
        <text x="150" y="288" textAnchor="middle" fontSize="13" fill="var(--soft)">
          wanted under trail: {corridor[0]}–{corridor[1]} %
        </text>
      )}
    </svg>
  );
}

/** An earlier load: the foot's shadow, the darker the more. */
function Shadow({ left, share, x }: { left: boolean; share: number; x: number }) {
  return (
    <path
      transform={left ? `translate(${x - 9} 17)` : `translate(${x + 109} 17) scale(-1 1)`}
      d={LEFT_FOOT}
      fill="var(--ink)"
      opacity={0.06 + 0.4 * (share / 100)}
    />
  );
}

function Label({
  x,
  foot,
  side,
  share,
  plain = false,
}: {
  x: number;
  foot: string;
  side: string;
  share: number;
  plain?: boolean;
}) {
  return (
    <text x={x} y="268" textAnchor="middle" fontSize="15" fill="var(--ink)">
      {plain ? side : `${foot} (${side})`} <tspan fontWeight="700">{Math.round(share)} %</tspan>
    </text>
  );
}

function Foot({
  left,
  load,
  role,
  x,
}: {
  left: boolean;
  load: Parameters<typeof zoneLoads>[0];
  role: "lead" | "trail";
  x: number;
}) {
  const id = useId();
  const loads = zoneLoads(load);
  return (
    <g transform={left ? `translate(${x} 8)` : `translate(${x + 100} 8) scale(-1 1)`}>
      <defs>
        <clipPath id={`${id}clip`}>
          <path d={LEFT_FOOT} />
        </clipPath>
        {Object.values(ZONES).map((zone) => {
          // A quarter of all load under one part fills half of it with ink.
          const ink = Math.min(0.96, loads[zone.id as keyof typeof loads] * 2.1);
          return (
            <pattern
              key={zone.id}
              id={`${id}${zone.id}`}
              width={SPACING}
              height={SPACING}
              patternUnits="userSpaceOnUse"
              patternTransform={role === "trail" ? "rotate(45)" : undefined}
            >
              {role === "trail" ? (
                <rect width={SPACING * ink} height={SPACING} fill="var(--trail)" />
              ) : (
                <rect width={SPACING} height={SPACING} fill="var(--lead)" opacity={ink} />
              )}
            </pattern>
          );
        })}
      </defs>
      <path d={LEFT_FOOT} fill="var(--sheet)" />
      <g clipPath={`url(#${id}clip)`}>
        {Object.values(ZONES).map((zone) => (
          <rect
            key={zone.id}
            x={zone.x}
            y={zone.y}
            width={zone.width}
            height={zone.height}
            fill={`url(#${id}${zone.id})`}
            className="moves"
          />
        ))}
        <path d="M0 120 H100 M50 0 V240" stroke="var(--line)" strokeWidth="1" />
      </g>
      <path d={LEFT_FOOT} fill="none" stroke={`var(--${role})`} strokeWidth="2.5" />
    </g>
  );
}
