import type { Catalogue, Diagnosis } from "@/api/types";
import { chainShape, NODE, WIDTH } from "./chainShape";
import { GRADE } from "./Ranking";

/** The chain from root to ball: the thicker a line, the surer that one brought the other about. */
export function ChainPicture({
  diagnosis,
  catalogue,
  chosen,
  onChoose,
}: {
  diagnosis: Diagnosis;
  catalogue: Catalogue;
  chosen: string | undefined;
  onChoose: (fault: string) => void;
}) {
  const { columns, nodes, edges, height } = chainShape(diagnosis, catalogue);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${height}`} className="w-full" role="group" aria-label="From root to ball">
      {columns.map((c) => (
        <text key={c.label} x={c.x} y="18" textAnchor="middle" fontSize="16" fill="var(--soft)">
          {c.label}
        </text>
      ))}
      {edges.map((e) => (
        <path
          key={`${e.from}${e.to}`}
          d={e.path}
          fill="none"
          stroke="var(--strong-line)"
          strokeOpacity="0.75"
          strokeWidth={e.width}
          className="moves"
        />
      ))}
      {nodes.map((n) => (
        <foreignObject key={n.id} x={n.x} y={n.y} width={NODE.width} height={NODE.height}>
          {n.probability === undefined ? (
            <p className="bg-tint grid h-full items-center rounded-full px-4 text-center leading-tight font-semibold">
              {n.label}
            </p>
          ) : (
            <button
              type="button"
              aria-pressed={chosen === n.id}
              onClick={() => onChoose(n.id)}
              className={`bg-sheet aria-pressed:bg-tint grid h-full w-full content-center rounded-md px-2 text-left leading-tight ${
                n.grade === "likely" ? "border-ink border-3" : "border-strong-line border border-dashed"
              }`}
            >
              <span className="font-serif leading-tight font-semibold">
                {n.turn && (
                  <span
                    aria-label={`Work on this, number ${n.turn}`}
                    className="bg-ink text-on-ink mr-1.5 inline-grid size-5 place-items-center rounded-full font-sans text-sm"
                  >
                    {n.turn}
                  </span>
                )}
                {n.label}
              </span>
              <span className="text-soft text-sm">
                {GRADE[n.grade ?? ""]} {Math.round(n.probability * 100)} %
              </span>
            </button>
          )}
        </foreignObject>
      ))}
    </svg>
  );
}
