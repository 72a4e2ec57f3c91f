import { type PointerEvent, useRef } from "react";
import type { Catalogue, Wire } from "@/api/types";
import { type Axis, BOX, type Curve, path, valueAt, x, y } from "./traceShape";

type Swing = Wire["SwingView"];

/** The load under the trail foot over a swing, with its moments on the school's band. */
export function TracePicture({
  swing,
  curve,
  axis,
  corridors,
  checkpoints,
  under,
  seconds,
  onScrub,
  chosen,
  onMove,
}: {
  swing: Swing;
  curve: Curve;
  axis: Axis;
  corridors: Record<string, number[]>;
  checkpoints: Catalogue["checkpoints"];
  /** Another swing laid under, with its way into this one's time. */
  under?: { curve: Curve; shifted: (seconds: number) => number; axis: Axis };
  seconds: number;
  onScrub: (seconds: number) => void;
  chosen?: string;
  /** A moment was dragged; called once, where it was let go. Without it none can be. */
  onMove?: (id: string, seconds: number) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const dragged = useRef<string>(undefined);
  const secondsAt = (event: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    const part =
      (((event.clientX - box.left) / box.width) * BOX.width - BOX.left) / (BOX.width - BOX.left - BOX.right);
    return Math.max(0, Math.min(swing.seconds, axis.seconds(Math.max(0, Math.min(1, part)))));
  };
  // The school says nothing between two moments of which one is not known here.
  const known = checkpoints.map((c) => swing.moments.find((m) => m.id === c.id && corridors[m.id]));
  const brief = (id: string) => checkpoints.find((c) => c.id === id)?.brief ?? id;
  const now = valueAt(curve.trailShare, curve.step, seconds);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${BOX.width} ${BOX.height}`}
      className="w-full touch-pan-y select-none"
      role="group"
      aria-label="Load under the trail foot over the swing"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        onScrub(secondsAt(e));
      }}
      onPointerMove={(e) => e.buttons > 0 && onScrub(secondsAt(e))}
      onPointerUp={(e) => {
        if (dragged.current) onMove?.(dragged.current, secondsAt(e));
        dragged.current = undefined;
      }}
      onPointerCancel={() => (dragged.current = undefined)}
    >
      {known.map((m, i) => {
        if (!m) return null;
        const next = known[i + 1];
        const [low, high] = corridors[m.id]!;
        const here = x(axis.at(m.time));
        return (
          <g key={m.id} fill="var(--tint)">
            {next && (
              <path
                d={`M${here} ${y(high!)} L${x(axis.at(next.time))} ${y(corridors[next.id]![1]!)} V${y(corridors[next.id]![0]!)} L${here} ${y(low!)} Z`}
              />
            )}
            <rect
              x={here - 5}
              y={y(high!)}
              width="10"
              height={y(low!) - y(high!)}
              rx="2"
              stroke="var(--strong-line)"
              strokeDasharray="4 3"
            />
          </g>
        );
      })}
      {[0, 50, 100].map((share) => (
        <g key={share}>
          <line x1={BOX.left} x2={BOX.width - BOX.right} y1={y(share)} y2={y(share)} stroke="var(--line)" />
          <text x={BOX.left - 4} y={y(share) + 4} fontSize="13" textAnchor="end" fill="var(--soft)">
            {share}
          </text>
        </g>
      ))}
      {under && (
        <path
          d={path(under.curve.trailShare, under.curve.step, under.axis, under.shifted)}
          fill="none"
          stroke="var(--strong-line)"
          strokeWidth="2"
          strokeDasharray="2 4"
        />
      )}
      <path
        d={path(curve.trailShare, curve.step, axis)}
        fill="none"
        stroke="var(--trail)"
        strokeWidth="2.5"
        strokeLinejoin="round"
      />
      {swing.moments.map((m, i) => {
        const place = x(axis.at(m.time));
        const value = valueAt(curve.trailShare, curve.step, m.time);
        return (
          <g
            key={m.id}
            className={onMove && "cursor-ew-resize"}
            onPointerDown={() => onMove && (dragged.current = m.id)}
          >
            <rect
              x={place - 9}
              y={BOX.top - 14}
              width="18"
              height={BOX.bottom - BOX.top + 14}
              fill="transparent"
            />
            <line
              x1={place}
              x2={place}
              y1={BOX.top}
              y2={BOX.bottom}
              stroke={chosen === m.id ? "var(--ink)" : "var(--strong-line)"}
              strokeDasharray={m.from === "found" ? "3 3" : undefined}
            />
            {value !== null && <circle cx={place} cy={y(value)} r="4.5" fill="var(--trail)" />}
            <text
              x={place}
              y={BOX.bottom + (i % 2 === 0 ? 17 : 35)}
              fontSize="14"
              fontWeight={chosen === m.id ? 700 : 600}
              textAnchor="middle"
              fill="var(--ink)"
            >
              {brief(m.id)}
            </text>
          </g>
        );
      })}
      <g pointerEvents="none">
        <line
          x1={x(axis.at(seconds))}
          x2={x(axis.at(seconds))}
          y1={BOX.top - 6}
          y2={BOX.bottom}
          stroke="var(--lead)"
          strokeWidth="2"
        />
        {now !== null && <circle cx={x(axis.at(seconds))} cy={y(now)} r="5" fill="var(--lead)" />}
      </g>
    </svg>
  );
}
