import type { Catalogue } from "@/api/types";

/** How metric values are said to whoever reads; the factors are the server's, and nobody else has any. */
export type Scales = Catalogue["scales"];
export type Scale = Scales[string];

/** Values are stored with so many decimals: three inches come back as three. */
const STORED_DECIMALS = 2;

/** How values in this metric unit are said; what everybody says alike as it is. */
export function scaleOf(scales: Scales, unit: string): Scale {
  return scales[unit] ?? { unit, factor: 1 };
}

export function toSaid(metric: number, scale: Scale): number {
  // Without the noise of the division, so that what was typed is what is shown.
  return Math.round(metric * scale.factor * 1e6) / 1e6;
}

export function toMetric(said: number, scale: Scale): number {
  const decimals = 10 ** STORED_DECIMALS;
  return Math.round((said / scale.factor) * decimals) / decimals;
}
