import type { Wire } from "@/api/types";

export type Columns = Wire["TraceColumnsEntry"];

/** A cell as a number, with a point or a comma in it; NaN for none. */
export function number(cell: string | undefined): number {
  if (cell === undefined || cell.trim() === "") return NaN;
  return Number(cell.trim().replace(",", "."));
}

const isNumeric = (row: string[]) =>
  row.filter((c) => c.trim() !== "").every((c) => !Number.isNaN(number(c)));

/** Where a table begins: its heading is the last line of words before the numbers. -1 if there are no numbers. */
export function headingLine(rows: string[][]): number {
  const first = rows.findIndex((row) => row.length > 1 && row.some((c) => c.trim() !== "") && isNumeric(row));
  return first < 1 ? -1 : first - 1;
}

/** Samples a second as the times of some rows tell: the median step between them; undefined where they tell none. */
export function rateOf(rows: string[][], time: number, perSecond: number): number | undefined {
  const times = rows.map((row) => number(row[time])).filter((t) => !Number.isNaN(t));
  const steps = times
    .slice(1)
    .map((t, i) => t - times[i]!)
    .filter((d) => d > 0)
    .sort((a, b) => a - b);
  const step = steps[Math.floor(steps.length / 2)];
  return step === undefined ? undefined : perSecond / step;
}

/** What was read of one row: to be sent, or what is wrong with it. */
export type Read = { row: (number | null)[] } | { wrong: string };

/**
 * Reads rows one after the other into samples: number, then the channels in order.
 *
 * @param rate samples a second, by which a time becomes a sample's number
 */
export function rowReader(columns: Columns, channels: string[], rate: number) {
  let begin: number | undefined;
  let count = 0;
  return (cells: string[]): Read => {
    const index = count++;
    let n = index;
    if (columns.time !== null && columns.time !== undefined) {
      const time = number(cells[columns.time]);
      if (Number.isNaN(time)) return { wrong: "has no time" };
      begin ??= time;
      n = Math.round(((time - begin) / columns.perSecond) * rate);
    }
    const values: (number | null)[] = [];
    for (const channel of channels) {
      const cell = cells[columns.channels[channel]!];
      const value = number(cell);
      if (Number.isNaN(value) && cell !== undefined && cell.trim() !== "")
        return { wrong: `says “${cell.trim().slice(0, 20)}” for ${channel}` };
      values.push(Number.isNaN(value) ? null : value);
    }
    return { row: [n, ...values] };
  };
}

export const FEET = ["left", "right"];
export const QUARTERS = FEET.flatMap((foot) =>
  ["front", "back"].flatMap((l) => ["inner", "outer"].map((w) => `${foot}-${l}-${w}`)),
);
export const FORCES = FEET.flatMap((foot) => ["force", "forward", "outward"].map((w) => `${foot}-${w}`));

/** The three shapes in which a file may tell loads. */
export const SHAPES = [
  { id: "feet", label: "Load under each foot", channels: FEET },
  { id: "quarters", label: "Four quarters of each foot", channels: QUARTERS },
  { id: "forces", label: "Force and its place, each foot", channels: FORCES },
];

export function shapeOf(columns: Columns): string {
  const given = Object.keys(columns.channels);
  return SHAPES.find((s) => s.channels.length === given.length)?.id ?? "feet";
}
