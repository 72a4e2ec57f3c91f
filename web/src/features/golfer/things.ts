import type { Hand } from "@/api/types";
import type { Material } from "./looks";
import { type Motion, placed, type Pose, type Thing } from "./motion";
import { limb, type Part, type Ring, sphere } from "./parts";
import { add, cross, dot, mix, sub, times, unit, UP, type Vec } from "./vec";

/** How far something went with what it follows, from the beginning to now. */
function gone(follows: string, first: Pose, now: Pose, at: Vec): Vec {
  if (follows === "nothing") return at;
  const [a, b] =
    follows === "hips"
      ? ["trail-hip", "lead-hip"]
      : [`${follows.split("-")[0]}-heel`, `${follows.split("-")[0]}-toe`];
  const frame = (pose: Pose) => {
    const along = sub(pose.points[b!]!, pose.points[a!]!);
    return { from: mix(pose.points[a!]!, pose.points[b!]!, 0.5), along: unit([along[0], 0, along[2]]) };
  };
  const f = frame(first);
  const n = frame(now);
  const off = sub(at, f.from);
  const side = cross(UP, f.along);
  const [x, y, z] = [dot(off, f.along), off[1], dot(off, side)];
  return add(n.from, add(add(times(n.along, x), [0, y, 0]), times(cross(UP, n.along), z)));
}

/** What the drill is done with, as parts. */
export function things(motion: Motion, first: Pose, now: Pose, hand: Hand): Part[] {
  return motion.things.flatMap((thing, i) => {
    const from = gone(thing.follows, first, now, placed(thing.from, 0, hand));
    const to = gone(thing.follows, first, now, placed(thing.to, 0, hand));
    return partsOf(thing, `${thing.kind}-${i}`, from, to);
  });
}

function partsOf(thing: Thing, id: string, from: Vec, to: Vec): Part[] {
  const lift = (y: number): Vec => add(from, [0, y, 0]);
  const rod = (r: number, material: Material) =>
    limb(id, material, add(from, [0, r, 0]), add(to, [0, r, 0]), [
      [0, r],
      [1, r],
    ]);
  switch (thing.kind) {
    case "ball":
      return [sphere(id, "ball", lift(2.1), 2.135)];
    case "half-ball":
      return [sphere(id, "prop", lift(0.4), 3.2, 0.55)];
    case "squeaker":
      return [sphere(id, "prop", lift(1.2), 3, 0.6)];
    case "mark": {
      const along = unit(sub(to, from));
      const u = cross(UP, along);
      return [{ id, material: "prop", rings: [from, to].map((c) => ({ c, u, v: UP, a: 1.6, b: 0.2 })) }];
    }
    case "disc":
      return [
        {
          id,
          material: "prop",
          rings: [0, 0.9].map((y) => ({ c: lift(y), u: [1, 0, 0], v: [0, 0, 1], a: 13.5, b: 13.5 }) as Ring),
        },
      ];
    case "board":
      return [
        {
          id,
          material: "wood",
          rings: [0.2, 1.6].map((y) => ({ c: lift(y), u: [1, 0, 0], v: [0, 0, 1], a: 8, b: 15 }) as Ring),
        },
      ];
    case "rod":
      return [rod(0.8, "prop")];
    case "stick":
      return [rod(1.1, "wood")];
    case "wedge":
      return [rod(2.6, "prop")];
    case "glove":
      return [
        limb(id, "glove", from, to, [
          [0, 1],
          [0.3, 3],
          [0.8, 3.4],
          [1, 1.4],
        ]),
      ];
    case "chair":
      return [
        {
          id: `${id}-seat`,
          material: "wood",
          rings: [-13, -9].map((y) => ({ c: lift(y), u: [1, 0, 0], v: [0, 0, 1], a: 21, b: 20 }) as Ring),
        },
        ...[-15, 15].flatMap((x) =>
          [-13, 13].map((z) =>
            limb(
              `${id}-leg${x}${z}`,
              "wood",
              [from[0] + x, 0, from[2] + z],
              [from[0] + x, from[1] - 12, from[2] + z],
              [
                [0, 1.6],
                [1, 1.6],
              ],
            ),
          ),
        ),
      ];
    default:
      return [];
  }
}
