import type { Hand } from "@/api/types";
import { ballAt, type Motion, placed, type Pose } from "./motion";
import { across, limb, type Part, type Ring, round, sphere } from "./parts";
import { add, cross, length, mix, squareTo, sub, times, unit, type Vec } from "./vec";

const AT_HEIGHT = 175;
/** Trunk, of the height. */
const TRUNK = 0.288;

/** The figure, the club and the ball as parts: what every renderer draws, and nothing else. */
export function figure(pose: Pose, motion: Motion, seconds: number, hand: Hand, build = 1): Part[] {
  const p = (id: string) => pose.points[id]!;
  const middle = (part: string) => mix(p(`lead-${part}`), p(`trail-${part}`), 0.5);
  const hips = middle("hip");
  const shoulders = middle("shoulder");
  const size = length(sub(shoulders, hips)) / (TRUNK * AT_HEIGHT);
  const s = size * build;
  return [
    ...["lead", "trail"].flatMap((side) => [shoe(side, p, size), ...leg(side, p, s)]),
    ...trunk(p, hips, shoulders, s, size),
    ...["lead", "trail"].flatMap((side) => arm(side, p, s, size)),
    ...head(p, shoulders, size),
    ...held(p, motion, size),
    ...ball(motion, seconds, hand),
  ];
}

type At = (id: string) => Vec;

/** Its heel turns up over the ball of the foot; the toes stay flat. */
function shoe(side: string, p: At, size: number): Part {
  const heel = p(`${side}-heel`);
  const toe = p(`${side}-toe`);
  const along = sub(toe, heel);
  const long = length(along);
  const lifted = heel[1] > toe[1] + 0.5;
  const flat = unit([along[0], lifted ? 0 : along[1], along[2]]);
  const bend = sub(toe, times(flat, 0.28 * long));
  // The ankle stands over the sole, or beside it where the foot is rolled.
  const over = sub(p(`${side}-ankle`), mix(heel, toe, 0.27));
  const back = unit(sub(bend, heel));
  const up = squareTo(over, back);
  const ring = (at: Vec, dir: Vec, a: number, b: number): Ring => {
    const v = squareTo(up, dir);
    return { c: add(at, times(v, b * size)), u: unit(cross(dir, v)), v, a: a * size, b: b * size };
  };
  const behind = (t: number) => mix(heel, bend, t / 0.72);
  const front = (t: number) => mix(bend, toe, (t - 0.72) / 0.28);
  return {
    id: `${side}-shoe`,
    material: "shoe",
    rings: [
      ring(behind(-0.07), back, 1.6, 1.9),
      ring(behind(-0.03), back, 3, 3),
      ring(behind(0.1), back, 3.7, 4),
      ring(behind(0.32), back, 3.8, 4.4),
      ring(behind(0.5), back, 4.3, 3.6),
      ring(behind(0.72), mix(back, flat, 0.5), 4.9, 2.7),
      ring(front(0.9), flat, 4.4, 2.1),
      ring(front(1.02), flat, 3, 1.6),
      ring(front(1.07), flat, 1.2, 1),
    ],
  };
}

function leg(side: string, p: At, s: number): Part[] {
  const hip = p(`${side}-hip`);
  const knee = p(`${side}-knee`);
  const ankle = p(`${side}-ankle`);
  const fold = unit(sub(ankle, hip));
  const thigh = unit(sub(knee, hip));
  const shank = unit(sub(ankle, knee));
  const turned = across(thigh, shank);
  const at = (c: Vec, r: number, along: Vec) => round(c, r * s, along, turned);
  return [
    {
      id: `${side}-leg`,
      material: "legs",
      rings: [
        at(add(hip, times(thigh, -5)), 7, thigh),
        at(hip, 8.8, thigh),
        at(mix(hip, knee, 0.3), 8.5, thigh),
        at(mix(hip, knee, 0.7), 7.1, thigh),
        at(knee, 6.6, unit(add(thigh, shank))),
        at(mix(knee, ankle, 0.3), 6.5, shank),
        at(mix(knee, ankle, 0.7), 5.4, shank),
        at(mix(knee, ankle, 0.97), 5.2, mix(shank, fold, 0.1)),
      ],
    },
  ];
}

function trunk(p: At, hips: Vec, shoulders: Vec, s: number, size: number): Part[] {
  const spine = sub(shoulders, hips);
  const up = unit(spine);
  const acrossHips = squareTo(sub(p("lead-hip"), p("trail-hip")), up);
  const acrossShoulders = squareTo(sub(p("lead-shoulder"), p("trail-shoulder")), up);
  const ring = (t: number, a: number, b: number): Ring => {
    const u = squareTo(mix(acrossHips, acrossShoulders, Math.max(0, Math.min(1, t * 1.1))), up);
    return { c: add(hips, times(spine, t)), u, v: cross(up, u), a: a * s, b: b * s };
  };
  return [
    {
      id: "pelvis",
      material: "legs",
      rings: [
        ring(-0.2, 7, 6),
        ring(-0.14, 14, 10),
        ring(-0.02, 16.6, 11.4),
        ring(0.1, 15.4, 10.6),
        ring(0.15, 14.6, 10),
      ],
    },
    {
      id: "belt",
      material: "belt",
      rings: [ring(0.13, 15, 10.5), ring(0.14, 15.3, 10.7), ring(0.18, 15.2, 10.6), ring(0.19, 14.8, 10.2)],
    },
    {
      id: "trunk",
      material: "top",
      rings: [
        ring(0.165, 15.2, 10.6),
        ring(0.3, 15, 10.4),
        ring(0.5, 15.8, 10.9),
        ring(0.72, 17.4, 11.3),
        ring(0.86, 18, 10.6),
        ring(0.97, 17.2, 8.8),
        ring(1.04, 13.4, 7.2),
        ring(1.09, 8, 6.4),
        ring(1.12, 6.2, 5.8),
      ],
    },
    limb("neck", "skin", add(shoulders, times(up, 1 * size)), add(shoulders, times(up, 15 * size)), [
      [0, 5.6 * size],
      [0.6, 5.2 * size],
      [1, 5 * size],
    ]),
  ];
}

function arm(side: string, p: At, s: number, size: number): Part[] {
  const shoulder = p(`${side}-shoulder`);
  const elbow = p(`${side}-elbow`);
  const wrist = p(`${side}-wrist`);
  const grip = p("grip");
  const head = p("club-head");
  const lower = sub(wrist, elbow);
  const upper = unit(sub(elbow, shoulder));
  const turned = across(upper, lower);
  const at = (c: Vec, r: number, along: Vec) => round(c, r * s, along, turned);
  const hand =
    grip && head && length(sub(wrist, grip)) < 25
      ? unit(add(unit(sub(head, grip)), unit(lower)))
      : unit(lower);
  return [
    limb(`${side}-sleeve`, "top", shoulder, elbow, [
      [-0.12, 3 * s],
      [-0.05, 5.2 * s],
      [0.1, 6.1 * s],
      [0.35, 5.8 * s],
      [0.58, 5.6 * s],
      [0.62, 5.2 * s],
    ]),
    {
      id: `${side}-arm`,
      material: "skin",
      rings: [
        at(mix(shoulder, elbow, 0.5), 4.6, upper),
        at(mix(shoulder, elbow, 0.85), 4.3, upper),
        at(elbow, 4.1, unit(add(upper, unit(lower)))),
        at(mix(elbow, wrist, 0.3), 4.2, unit(lower)),
        at(mix(elbow, wrist, 0.8), 3.1, unit(lower)),
        at(wrist, 2.8, unit(lower)),
      ],
    },
    limb(
      `${side}-hand`,
      side === "lead" && !!grip ? "glove" : "skin",
      sub(wrist, times(hand, 1.5)),
      add(wrist, times(hand, 9 * size)),
      [
        [0, 2.6 * size],
        [0.25, 3.6 * size],
        [0.6, 4 * size],
        [0.9, 3.2 * size],
        [1, 1.6 * size],
      ],
    ),
  ];
}

function head(p: At, shoulders: Vec, size: number): Part[] {
  const middle = mix(p("lead-ear"), p("trail-ear"), 0.5);
  const up0 = unit(sub(middle, shoulders));
  const ahead = squareTo(sub(p("nose"), middle), up0);
  // A head held up looks ahead and down a little, not along the neck.
  const up = unit(add(up0, times(ahead, -0.12)));
  const front = squareTo(ahead, up);
  const side = cross(up, front);
  const ring = (t: number, forward: number, a: number, b: number): Ring => ({
    c: add(add(middle, times(up, t * size)), times(front, forward * size)),
    u: side,
    v: front,
    a: a * size,
    b: b * size,
  });
  const brim = (out: number, a: number, down: number): Ring => ({
    c: add(add(middle, times(up, (3.6 - down) * size)), times(front, out * size)),
    u: side,
    v: up,
    a: a * size,
    b: 0.55 * size,
  });
  const nose = add(add(middle, times(front, 9.4 * size)), times(up, -2.4 * size));
  return [
    {
      id: "head",
      material: "skin",
      rings: [
        ring(-11.6, 4.4, 2.6, 2.4),
        ring(-10.4, 3.8, 4.6, 4.6),
        ring(-7, 2, 6.2, 7.2),
        ring(-2, 0.6, 7.4, 9),
        ring(3, 0, 7.7, 9.5),
        ring(7, -0.3, 6.9, 8.6),
        ring(9.6, -0.4, 4, 5),
      ],
    },
    limb("nose", "skin", add(nose, times(front, -2 * size)), add(nose, times(front, 1.6 * size)), [
      [0, 1.9 * size],
      [0.7, 1.4 * size],
      [1, 0.7 * size],
    ]),
    {
      id: "hair",
      material: "hair",
      rings: [
        ring(-5.5, -3.4, 5.6, 4.6),
        ring(-2, -2.4, 7.7, 7.2),
        ring(3.4, -1, 8.1, 9),
        ring(5, -0.8, 7.6, 8.6),
      ],
    },
    {
      id: "cap",
      material: "cap",
      rings: [
        ring(2.6, 0, 8.2, 10),
        ring(4, 0, 8.5, 10.3),
        ring(7.4, -0.4, 7.8, 9.4),
        ring(10.2, -0.8, 5, 6.2),
        ring(11.4, -0.9, 2, 2.4),
      ],
    },
    {
      id: "brim",
      material: "cap",
      rings: [brim(7, 7.4, -0.4), brim(11, 7, 0.2), brim(14.4, 5.4, 1), brim(16, 3, 1.4)],
    },
  ];
}

function held(p: At, motion: Motion, size: number): Part[] {
  const grip = p("grip");
  const end = p("club-head");
  if (!motion.held || !grip || !end) return [];
  const along = unit(sub(end, grip));
  if (motion.held === "stick")
    return [
      limb("stick", "wood", grip, end, [
        [0, 1.3],
        [1, 1.3],
      ]),
    ];
  if (motion.held === "bat")
    return [
      limb("bat", "wood", add(grip, times(along, -4)), end, [
        [0, 1.5],
        [0.25, 1.3],
        [0.6, 2],
        [0.95, 2.4],
        [1, 1.4],
      ]),
    ];
  const driver = motion.held === "driver";
  // The head reaches out from the end of the shaft, away from who swings.
  const hips = mix(p("lead-hip"), p("trail-hip"), 0.5);
  const away = squareTo(sub(end, hips), along);
  const toe = (out: number) => add(end, times(away, out * size));
  return [
    limb("grip", "grip", add(grip, times(along, -5)), add(grip, times(along, 21 * size)), [
      [0, 1.3],
      [0.1, 1.5],
      [1, 1.1],
    ]),
    limb("shaft", "shaft", add(grip, times(along, 19 * size)), end, [
      [0, 0.8],
      [1, 0.6],
    ]),
    {
      id: "club-head",
      material: "head",
      rings: driver
        ? [-3, 0, 4, 8, 10].map((out, i) => round(toe(out), [2, 4, 4.8, 4, 1.8][i]! * size, away, along))
        : [-1.5, 0, 3, 6, 7.5].map((out, i) =>
            round(toe(out), [0.9, 1.7, 2.3, 2.7, 1.4][i]! * size, away, along),
          ),
    },
  ];
}

function ball(motion: Motion, seconds: number, hand: Hand): Part[] {
  const at = ballAt(motion, seconds, hand);
  if (!at) return [];
  const parts = [sphere("ball", "ball", at, 2.135)];
  const lies = placed(motion.ball!, 0, hand);
  if (lies[1] > 3.5)
    parts.push(
      limb("tee", "wood", [lies[0], 0, lies[2]], sub(lies, [0, 2.2, 0]), [
        [0, 0.5],
        [0.8, 0.5],
        [1, 1],
      ]),
    );
  return parts;
}
