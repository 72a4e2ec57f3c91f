import { describe, expect, it } from "vitest";
import { strikeNear } from "./strike";

const RATE = 16_000;
/** A room with a crack at some times, each so loud; noise is drawn anew by the same seed. */
function room(cracks: { at: number; loud: number; lasts?: number }[], noise = 0.002): Float32Array {
  let seed = 7;
  const drawn = () => {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
    return (2 * seed) / 2_147_483_648 - 1;
  };
  const samples = Float32Array.from({ length: 3 * RATE }, () => noise * drawn());
  for (const { at, loud, lasts = 0.03 } of cracks)
    for (let i = 0; i < lasts * RATE; i++)
      samples[Math.round(at * RATE) + i]! += loud * drawn() * Math.exp((-4 * i) / (lasts * RATE));
  return samples;
}
const sound = (samples: Float32Array) => ({ samples, rate: RATE, from: 4 });

describe("the strike in a film's sound", () => {
  it("is the loudest short crack near impact, less its way to the phone", () => {
    const heard = strikeNear(
      sound(
        room([
          { at: 1.53, loud: 0.5 },
          { at: 1.47, loud: 0.1 },
        ]),
      ),
      5.5,
    );
    expect(heard).toBeCloseTo(5.52, 2);
  });

  it("is not another ball, which cracks at another time", () => {
    expect(strikeNear(sound(room([{ at: 0.6, loud: 0.7 }])), 5.5)).toBeUndefined();
    expect(strikeNear(sound(room([{ at: 1.8, loud: 0.7 }])), 5.5)).toBeUndefined();
  });

  it("is nothing in a silent film, in a loud room, or where a voice goes on", () => {
    expect(strikeNear(sound(room([])), 5.5)).toBeUndefined();
    expect(strikeNear(sound(room([{ at: 1.5, loud: 0.5 }], 0.2)), 5.5)).toBeUndefined();
    expect(strikeNear(sound(room([{ at: 1.45, loud: 0.3, lasts: 1 }])), 5.5)).toBeUndefined();
    expect(strikeNear({ samples: new Float32Array(), rate: RATE, from: 0 }, 5.5)).toBeUndefined();
  });
});
