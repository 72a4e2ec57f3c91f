/** Outline of the foot on the left of the picture, toes up, in a box of 100 by 240; mirrored for the right one. */
export const LEFT_FOOT =
  "M52 6 C78 4 90 30 88 62 C87 88 78 104 77 128 C76 152 84 172 82 198 C80 224 66 236 50 236 C34 236 20 224 19 200 C18 176 26 158 25 132 C24 106 12 88 12 58 C12 26 28 8 52 6 Z";

export type Zone = { id: string; x: number; y: number; width: number; height: number };

/** The four parts of a foot, inner and outer as seen on the left foot. */
export const ZONES: Record<"toeOuter" | "toeInner" | "heelOuter" | "heelInner", Zone> = {
  toeOuter: { id: "toeOuter", x: 0, y: 0, width: 50, height: 120 },
  toeInner: { id: "toeInner", x: 50, y: 0, width: 50, height: 120 },
  heelOuter: { id: "heelOuter", x: 0, y: 120, width: 50, height: 120 },
  heelInner: { id: "heelInner", x: 50, y: 120, width: 50, height: 120 },
};

export type FootLoad = {
  /** Share of the whole load under this foot, 0 to 100. */
  share: number;
  /** Share of this foot's load in its front half, 0 to 100. */
  toe: number;
  /** Share of this foot's load on its outer half, 0 to 100. */
  outer: number;
};

/** The load of each part as a share of all, 0 to 1. */
export function zoneLoads({ share, toe, outer }: FootLoad): Record<keyof typeof ZONES, number> {
  const s = share / 100;
  const t = toe / 100;
  const o = outer / 100;
  return {
    toeOuter: s * t * o,
    toeInner: s * t * (1 - o),
    heelOuter: s * (1 - t) * o,
    heelInner: s * (1 - t) * (1 - o),
  };
}
