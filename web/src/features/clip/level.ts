/**
 * How a camera is held, from how the device lies.
 *
 * @param lean to its right, degrees
 * @param tilt upwards, degrees
 */
export type Held = { lean: number; tilt: number };

const RADIANS = Math.PI / 180;

/**
 * @param beta turned about the device's width, degrees, as browsers tell it
 * @param gamma about its length
 * @param screen by how much what is on the screen is turned, degrees
 */
export function held(beta: number, gamma: number, screen: number): Held {
  const [b, g] = [beta * RADIANS, gamma * RADIANS];
  // Which way is up, as the device sees it: to its right, to its top, out of its screen.
  const [right, top, out] = [-Math.cos(b) * Math.sin(g), Math.sin(b), Math.cos(b) * Math.cos(g)];
  const turned = screen - Math.atan2(right, top) / RADIANS;
  return { lean: ((((turned + 180) % 360) + 360) % 360) - 180, tilt: -Math.asin(out) / RADIANS };
}

/** So far off nobody sees it, degrees. */
const LEVEL = 2;

/** What is to be put right, in words. */
export function saidOf({ lean, tilt }: Held): string {
  const off = [
    Math.abs(lean) > LEVEL && `leans ${Math.abs(lean).toFixed(0)}° to the ${lean > 0 ? "right" : "left"}`,
    Math.abs(tilt) > 2 * LEVEL && `points ${Math.abs(tilt).toFixed(0)}° ${tilt > 0 ? "up" : "down"}`,
  ].filter((o) => o !== false);
  return off.length === 0 ? "Level" : `The camera ${off.join(" and ")}`;
}
