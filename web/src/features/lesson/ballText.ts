import type { Hand } from "@/api/types";
import { inDigits, readNumber } from "@/ui/number";
import { type Scale, toMetric, toSaid } from "@/ui/units";
import type { Ball } from "./changes";

/** What no ball does, in metres. */
const FURTHEST = 400;
const WIDEST = 200;

const WAY = "Say how far, then how far left or right: 128 4L.";

/** What was typed of a ball: the ball, or why it is none. */
export type TypedBall = { ball: Ball; wrong?: undefined } | { ball?: undefined; wrong: string };

/** Reads how far a ball came and how far off line, in the reader's own unit: `128`, `128 4L`, `4r`. */
export function readBall(text: string, scale: Scale, hand: Hand): TypedBall {
  const words = text
    .trim()
    .replace(/(\d)\s+([lr])\b/gi, "$1$2")
    .split(/\s+/);
  if (text.trim() === "" || words.length > 2) return { wrong: WAY };
  const ball: Ball = {};
  for (const word of words) {
    const side = /[lr]$/i.exec(word)?.[0].toLowerCase();
    const figure = side ? "offline" : "carry";
    if (figure in ball) return { wrong: WAY };
    const highest = Math.floor(toSaid(side ? WIDEST : FURTHEST, scale) * 10) / 10;
    const read = readNumber(side ? word.slice(0, -1) : word, {
      lowest: 0,
      highest,
      decimals: 1,
      unit: scale.unit,
    });
    if (read.wrong) return { wrong: read.wrong === "That is no number." ? WAY : read.wrong };
    if (typeof read.number !== "number") return { wrong: WAY };
    const metres = toMetric(read.number, scale);
    ball[figure] = side && (side === "r") !== (hand === "right") ? 0 - metres : metres;
  }
  return { ball };
}

/** As it was typed. */
export function sayBall(ball: Ball, scale: Scale, hand: Hand): string {
  const carry = ball.carry == null ? [] : [inDigits(toSaid(ball.carry, scale))];
  if (ball.offline == null) return carry.join("");
  const side = ball.offline === 0 ? "" : ball.offline > 0 === (hand === "right") ? "R" : "L";
  return [...carry, side ? inDigits(toSaid(Math.abs(ball.offline), scale)) + side : "on line"].join(" ");
}
