import type { Catalogue } from "@/api/types";

type Reading = { at: string; value: number; source: string };

const WIDTH = 720;
const HEIGHT = 190;
const TOP = 12;
const BOTTOM = 148;

/** Trail share from address to finish: the school's corridor as a band, the readings as points. */
export function ShareStrip({
  checkpoints,
  corridors,
  second,
  readings,
  earlier = [],
  chosen,
  onChoose,
}: {
  checkpoints: Catalogue["checkpoints"];
  corridors: Record<string, number[]>;
  /** Another school's corridors, laid over as an outline. */
  second?: Record<string, number[]>;
  readings: Reading[];
  earlier?: Reading[];
  /** Where there is one to choose. */
  chosen?: string;
  onChoose?: (id: string) => void;
}) {
  const step = WIDTH / checkpoints.length;
  const x = (id: string) => checkpoints.findIndex((c) => c.id === id) * step + step / 2;
  const y = (share: number) => BOTTOM - (share / 100) * (BOTTOM - TOP);
  const band = (of: Record<string, number[]>) => {
    const side = (index: 0 | 1) => checkpoints.map((c) => `${x(c.id)} ${y(of[c.id]?.[index] ?? 50)}`);
    return `M${side(1).join(" L")} L${side(0).reverse().join(" L")} Z`;
  };
  const line = (points: Reading[]) => points.map((r) => `${x(r.at)},${y(r.value)}`).join(" ");
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      aria-label="Trail share by checkpoint"
      role="group"
    >
      <path d={band(corridors)} fill="var(--tint)" stroke="var(--strong-line)" strokeDasharray="4 3" />
      {second && (
        <path
          d={band(second)}
          fill="none"
          stroke="var(--lead)"
          strokeWidth="2"
          strokeDasharray="1 5"
          strokeLinecap="round"
        />
      )}
      {[0, 50, 100].map((share) => (
        <g key={share}>
          <line x1="0" x2={WIDTH} y1={y(share)} y2={y(share)} stroke="var(--line)" />
          <text x="0" y={y(share) - 3} fontSize="11" fill="var(--soft)">
            {share} %
          </text>
        </g>
      ))}
      <polyline
        points={line(earlier)}
        fill="none"
        stroke="var(--strong-line)"
        strokeDasharray="2 4"
        strokeWidth="2"
      />
      {earlier.map((r) => (
        <circle
          key={r.at}
          cx={x(r.at)}
          cy={y(r.value)}
          r="4"
          fill="var(--sheet)"
          stroke="var(--strong-line)"
        />
      ))}
      <polyline points={line(readings)} fill="none" stroke="var(--trail)" strokeWidth="2" />
      {readings.map((r) => (
        <g key={r.at}>
          <circle cx={x(r.at)} cy={y(r.value)} r="6" fill="var(--trail)" />
          <text x={x(r.at) + 10} y={y(r.value) - 6} fontSize="13" fontWeight="700" fill="var(--ink)">
            {Math.round(r.value)}
          </text>
        </g>
      ))}
      {checkpoints.map((c, index) => (
        <foreignObject key={c.id} x={index * step} y={BOTTOM + 4} width={step} height={HEIGHT - BOTTOM - 4}>
          {onChoose ? (
            <button
              type="button"
              aria-pressed={chosen === c.id}
              onClick={() => onChoose(c.id)}
              className="aria-pressed:bg-ink aria-pressed:text-on-ink not-aria-pressed:hover:bg-tint h-full w-full rounded px-0.5 text-[14px] font-semibold"
            >
              <span title={c.label}>{c.brief}</span>
            </button>
          ) : (
            <p title={c.label} className="text-center text-[14px] font-semibold">
              {c.brief}
            </p>
          )}
        </foreignObject>
      ))}
    </svg>
  );
}
