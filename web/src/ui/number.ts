/** What a number may be; `decimals` none where nothing is said. */
export type Limits = { lowest: number; highest: number; decimals?: number; unit?: string };

/** What was typed: nothing, a number that fits, or something that does not and why. */
export type Typed = { number: number | null; wrong?: undefined } | { number?: undefined; wrong: string };

const NUMBER = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/;

/**
 * Reads a number as people write it: comma or point, hyphen or minus sign, blanks around. Nothing else is one: neither
 * `0x20` nor `1e3`, nor a number in which one cannot tell the comma of a thousand from that of a fraction.
 */
export function readNumber(text: string, { lowest, highest, decimals = 0, unit = "" }: Limits): Typed {
  const plain = text.trim().replace(/[\u2212\u2013]/g, "-");
  if (plain === "") return { number: null };
  if (!NUMBER.test(plain)) return { wrong: "That is no number." };
  const number = Number(plain.replace(",", "."));
  if (number < lowest || number > highest)
    return { wrong: `From ${inDigits(lowest, 2)} to ${inDigits(highest, 2)}${unit && ` ${unit}`}.` };
  if ((plain.split(/[.,]/)[1] ?? "").length > decimals)
    return { wrong: decimals === 0 ? "A whole number." : `At most ${decimals} decimals.` };
  return { number: number === 0 ? 0 : number };
}

/** A number with so many decimals at most, and a true minus sign. */
export function inDigits(number: number, decimals = 1): string {
  const factor = 10 ** decimals;
  return String(Math.round(number * factor) / factor).replace("-", "−");
}
