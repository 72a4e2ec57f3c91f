/** A small mark of what the club meets, or of a half-step; drawn around its own middle. */
export function StepMark({ kind, x, y, ink }: { kind: string; x: number; y: number; ink: string }) {
  const stroke = { stroke: ink, strokeWidth: 1.6, fill: "none" };
  return (
    <g transform={`translate(${x} ${y})`} aria-hidden>
      {kind === "half-step" && <path d="M0 -4 L4 0 L0 4 L-4 0 Z" {...stroke} />}
      {kind === "brush" && <path d="M-5 1.5 q2.5 -5 5 0 t5 0" {...stroke} />}
      {kind === "clip" && <path d="M-3.5 -3.5 h7 M0 -3.5 v7.5" {...stroke} />}
      {kind === "soft-ball" && <circle r="3.6" {...stroke} />}
      {kind === "net" && <path d="M-4 -4 h8 v8 h-8 Z M-4 0 h8 M0 -4 v8" {...stroke} />}
      {(kind === "range" || kind === "course") && <circle r="3.6" fill={ink} />}
    </g>
  );
}
