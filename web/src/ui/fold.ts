/** Letters that are no other letter with a mark. */
const ALIKE: Record<string, string> = {
  ø: "o",
  ł: "l",
  đ: "d",
  ð: "d",
  æ: "ae",
  œ: "oe",
  ß: "ss",
  þ: "th",
  ı: "i",
};

/** A text as one would type it in a hurry: without capitals and marks, so that "odegard" finds Ødegård. */
export function fold(text: string): string {
  return text
    .toLowerCase()
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .replace(/[øłđðæœßþı]/g, (letter) => ALIKE[letter] ?? letter);
}
