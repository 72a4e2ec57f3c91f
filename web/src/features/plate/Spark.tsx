/** A swing in small: load under the trail foot over time. */
export function Spark({ values }: { values: number[] }) {
  const points = values.map(
    (v, i) => `${((i / (values.length - 1)) * 96).toFixed(1)},${(30 - v * 0.28).toFixed(1)}`,
  );
  return (
    <svg viewBox="0 0 96 32" className="h-8 w-24" aria-hidden>
      <line x1="0" x2="96" y1="16" y2="16" stroke="var(--line)" />
      <polyline points={points.join(" ")} fill="none" stroke="var(--trail)" strokeWidth="2" />
    </svg>
  );
}
