import type { Wire } from "@/api/types";

export type Rung = Wire["LadderRung"];

const CARRY = { width: 180, pad: 8 };
const OFFLINE = { width: 120, pad: 6 };

/** Where each stage's balls lie on scales that all stages share; distances in the reader's unit. */
export function ladderShape(rungs: Rung[]) {
  const carries = rungs.flatMap((r) => r.carry?.balls ?? []);
  const [shortest, longest] = [Math.min(...carries), Math.max(...carries)];
  const widest = Math.max(0, ...rungs.flatMap((r) => (r.offline?.balls ?? []).map(Math.abs)));
  const room = CARRY.width - 2 * CARRY.pad;
  // All alike: in the middle, for there is no scale.
  const carryX = (value: number) =>
    longest === shortest ? CARRY.width / 2 : CARRY.pad + (room * (value - shortest)) / (longest - shortest);
  const half = OFFLINE.width / 2;
  const offlineX = (value: number) => (widest === 0 ? half : half + ((half - OFFLINE.pad) * value) / widest);
  const marks = (figure: Rung["carry"], x: (value: number) => number) =>
    figure && { balls: figure.balls.map(x), mean: x(figure.mean) };
  return {
    carryWidth: CARRY.width,
    offlineWidth: OFFLINE.width,
    hasStrikes: rungs.some((r) => r.struck > 0),
    hasCarry: carries.length > 0,
    hasOffline: rungs.some((r) => r.offline),
    /** The lowest first. */
    rungs: rungs.map((r) => ({
      ...r,
      share: r.struck === 0 ? 0 : r.solid / r.struck,
      carryMarks: marks(r.carry, carryX),
      offlineMarks: marks(r.offline, offlineX),
    })),
  };
}
