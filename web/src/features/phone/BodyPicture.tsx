import type { Catalogue } from "@/api/types";

/** Where on the figure each joint is, from the head down. */
const AT: Record<string, { x: number; y: number }> = {
  back: { x: 80, y: 112 },
  hip: { x: 80, y: 164 },
  knee: { x: 80, y: 222 },
  ankle: { x: 80, y: 284 },
};

/** A figure on which the student shows where it hurts. */
export function BodyPicture({
  joints,
  value,
  onChange,
}: {
  joints: Catalogue["joints"];
  value: string;
  onChange: (joint: string) => void;
}) {
  return (
    <svg viewBox="0 0 250 320" role="radiogroup" aria-label="Where" className="w-64">
      <g stroke="var(--strong-line)" strokeWidth="12" strokeLinecap="round" fill="none">
        <circle cx="80" cy="30" r="18" strokeWidth="4" />
        <path d="M80 56 V160 M80 72 L44 130 M80 72 L116 130 M80 160 L62 222 L58 292 M80 160 L98 222 L102 292" />
      </g>
      {joints
        .filter((joint) => AT[joint.id])
        .map((joint) => {
          const { x, y } = AT[joint.id]!;
          const on = value === joint.id;
          const choose = () => onChange(joint.id);
          return (
            <g
              key={joint.id}
              role="radio"
              aria-checked={on}
              aria-label={joint.label}
              tabIndex={0}
              className="cursor-pointer"
              onClick={choose}
              onKeyDown={(e) => (e.key === "Enter" || e.key === " ") && choose()}
            >
              <rect x={x - 26} y={y - 26} width="190" height="52" fill="transparent" />
              <circle
                cx={x}
                cy={y}
                r="20"
                fill={on ? "var(--alert)" : "var(--sheet)"}
                stroke="var(--alert)"
                strokeWidth="3"
              />
              <text x={x + 46} y={y + 6} fontSize="17" fontWeight={on ? 700 : 400} fill="var(--ink)">
                {joint.label}
              </text>
            </g>
          );
        })}
    </svg>
  );
}
