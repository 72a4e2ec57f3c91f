import { ToggleGroup } from "radix-ui";

/** A few exclusive answers side by side. */
export function Choice({
  label,
  value,
  options,
  onChange,
  compact = false,
  columns,
}: {
  label: string;
  value: string;
  options: { id: string; label: string }[];
  onChange: (id: string) => void;
  compact?: boolean;
  /** In rows of so many, as wide as there is room; else in one line that wraps. */
  columns?: number;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next)}
      className={`border-strong-line rounded-md border ${columns ? "grid" : "inline-flex w-fit flex-wrap"}`}
      style={columns ? { gridTemplateColumns: `repeat(${columns}, 1fr)` } : undefined}
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.id}
          value={option.id}
          className={`border-strong-line data-[state=on]:bg-ink data-[state=on]:text-on-ink data-[state=off]:hover:bg-tint min-h-11 border-r font-semibold first:rounded-l-md last:rounded-r-md last:border-r-0 ${compact ? "min-w-11 px-2" : "px-4"}`}
        >
          {option.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
