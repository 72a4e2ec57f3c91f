import type { ComponentProps } from "react";
import { NumberField } from "./NumberField";
import { type Scale, toMetric, toSaid } from "./units";

/** A field for a number that is stored in metric units and typed in the reader's own. */
export function MetricField({
  scale,
  value,
  onChange,
  lowest,
  highest,
  ...rest
}: { scale: Scale } & ComponentProps<typeof NumberField>) {
  const edge = (metric: number | undefined, round: (n: number) => number) =>
    metric === undefined || scale.factor === 1 ? metric : round(toSaid(metric, scale) * 10) / 10;
  return (
    <NumberField
      {...rest}
      unit={scale.unit}
      lowest={edge(lowest, Math.ceil) as number}
      highest={edge(highest, Math.floor) as number}
      value={value === null ? null : toSaid(value, scale)}
      onChange={(said) => onChange(said === null ? null : toMetric(said, scale))}
    />
  );
}
