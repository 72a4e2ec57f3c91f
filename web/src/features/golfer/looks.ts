import type { Lesson } from "@/api/types";

/** What the figure is made of. */
export type Material =
  | "skin"
  | "hair"
  | "top"
  | "legs"
  | "shoe"
  | "sole"
  | "cap"
  | "glove"
  | "belt"
  | "shaft"
  | "grip"
  | "head"
  | "ball"
  | "wood"
  | "prop";

/** How somebody looks; nobody real. Build widens trunk and limbs. */
export type Look = { id: string; label: string; build: number; colours: Record<Material, string> };

const THINGS = {
  shaft: "#8d9094",
  grip: "#2c2a28",
  head: "#5f6468",
  ball: "#fdfdfa",
  wood: "#c09a5f",
  prop: "#b8452f",
  belt: "#2c2a28",
  sole: "#efe9dc",
};

const look = (
  id: string,
  label: string,
  build: number,
  colours: Omit<Record<Material, string>, keyof typeof THINGS>,
): Look => ({
  id,
  label,
  build,
  colours: { ...THINGS, ...colours },
});

export const LOOKS: Look[] = [
  look("sand", "Ochre jumper", 1, {
    skin: "#d9a47f",
    hair: "#5b4636",
    top: "#c98f3c",
    legs: "#4a5261",
    shoe: "#6b5544",
    cap: "#f1e7d2",
    glove: "#f4efe4",
  }),
  look("sea", "Blue polo", 0.94, {
    skin: "#8a5a3c",
    hair: "#241b16",
    top: "#4d7f96",
    legs: "#d3c4a4",
    shoe: "#3b3936",
    cap: "#2e5364",
    glove: "#f4efe4",
  }),
  look("moss", "Green slipover", 1.1, {
    skin: "#e6bb9c",
    hair: "#a8a29a",
    top: "#6f7f52",
    legs: "#5d5348",
    shoe: "#4d4138",
    cap: "#e6dcc6",
    glove: "#d9d2c2",
  }),
  look("plum", "Plum top", 0.88, {
    skin: "#c08a62",
    hair: "#3a2a20",
    top: "#7e4f66",
    legs: "#39404b",
    shoe: "#ece5d8",
    cap: "#ece5d8",
    glove: "#f4efe4",
  }),
  look("slate", "Grey vest", 1.06, {
    skin: "#5f3b28",
    hair: "#d8d4cc",
    top: "#6d737a",
    legs: "#ded2b8",
    shoe: "#2f2c2a",
    cap: "#8c3b33",
    glove: "#e9e2d4",
  }),
  look("rose", "Rose jumper", 0.86, {
    skin: "#f0c9ae",
    hair: "#a35c2f",
    top: "#b5707a",
    legs: "#e4dccb",
    shoe: "#8a6f5c",
    cap: "#4d4a52",
    glove: "#f4efe4",
  }),
  look("ink", "Dark roll-neck", 1.02, {
    skin: "#a8714c",
    hair: "#1d1916",
    top: "#343a45",
    legs: "#9a8a70",
    shoe: "#d9d2c4",
    cap: "#343a45",
    glove: "#c9c3b6",
  }),
  look("clay", "Brick shirt", 1.18, {
    skin: "#dcae8a",
    hair: "#c9b28a",
    top: "#a1553a",
    legs: "#545b4c",
    shoe: "#4a3c33",
    cap: "#e8dfcd",
    glove: "#f4efe4",
  }),
];

/** How many go by names; those after are chosen only, so that nobody's look changes when one is added. */
const BY_NAME = 4;

/** The look chosen for somebody; where none is, one that goes with the name: always the same, and nobody's own. */
export function lookFor(name: string, chosen?: string | null): Look {
  const own = LOOKS.find((l) => l.id === chosen);
  if (own) return own;
  let sum = 0;
  for (const letter of name) sum = (31 * sum + letter.charCodeAt(0)) % 9973;
  return LOOKS[sum % BY_NAME]!;
}

/** The look of a lesson's student. */
export const lookOf = (lesson: Pick<Lesson, "studentName" | "studentLook">): Look =>
  lookFor(lesson.studentName, lesson.studentLook);

const SHADE = [43, 38, 32];

/** A colour with so much of it left and the rest shade; as plain as paper needs it. */
export function shaded(colour: string, left: number): string {
  const parts = [1, 3, 5].map((at, i) => {
    const own = parseInt(colour.slice(at, at + 2), 16);
    return Math.round(own * left + SHADE[i]! * (1 - left));
  });
  return `#${parts.map((p) => p.toString(16).padStart(2, "0")).join("")}`;
}
