/** The reps of a set in fives: good is filled, not is crossed, to come is empty. */
export function Pips({ marks, of }: { marks: string; of: number }) {
  return (
    <svg
      width={of * 22 + Math.floor((of - 1) / 5) * 8}
      height="22"
      role="img"
      aria-label={`${[...marks].filter((m) => m === "+").length} good of ${marks.length} in this set of ${of}`}
    >
      {Array.from({ length: of }, (_, i) => {
        const x = i * 22 + Math.floor(i / 5) * 8 + 11;
        const mark = marks[i];
        return (
          <g key={i} stroke="var(--ink)" strokeWidth="2">
            <circle
              cx={x}
              cy="11"
              r="8"
              fill={mark === "+" ? "var(--ink)" : "none"}
              opacity={mark ? 1 : 0.35}
            />
            {mark === "o" && <circle cx={x} cy="11" r="2.5" fill="var(--ink)" stroke="none" />}
            {mark === "-" && <path d={`M${x - 4} 7 L${x + 4} 15 M${x + 4} 7 L${x - 4} 15`} />}
          </g>
        );
      })}
    </svg>
  );
}
