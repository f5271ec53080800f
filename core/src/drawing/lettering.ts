import type { Vec2 } from "../geometry";

/**
 * Single-stroke lettering as draughtsmen use it, so that every output carries it as plain lines and needs no typeface.
 * A glyph stands on a grid 4 wide and 6 high, y up: strokes split by "/", each a run of places as two digits.
 */
const GLYPHS: Readonly<Record<string, string>> = {
  0: "10 30 41 45 36 16 05 01 10",
  1: "14 26 20",
  2: "05 16 36 45 44 00 40",
  3: "05 16 36 45 44 33 13/33 42 41 30 10 01",
  4: "30 36 02 42",
  5: "46 06 03 33 42 41 30 10 01",
  6: "36 16 05 01 10 30 41 42 33 03",
  7: "06 46 10",
  8: "13 04 05 16 36 45 44 33 13 02 01 10 30 41 42 33",
  9: "10 30 41 45 36 16 05 04 13 43",
  A: "00 26 40/12 32",
  B: "00 06 36 45 44 33 03/33 42 41 30 00",
  C: "45 36 16 05 01 10 30 41",
  D: "00 06 26 44 42 20 00",
  E: "46 06 00 40/03 33",
  F: "46 06 00/03 33",
  G: "45 36 16 05 01 10 30 41 43 23",
  H: "00 06/40 46/03 43",
  I: "26 20",
  J: "36 31 20 10 01",
  K: "00 06/46 03 40",
  L: "06 00 40",
  M: "00 06 23 46 40",
  N: "00 06 40 46",
  O: "10 30 41 45 36 16 05 01 10",
  P: "00 06 36 45 44 33 03",
  Q: "10 30 41 45 36 16 05 01 10/22 40",
  R: "00 06 36 45 44 33 03/23 40",
  S: "45 36 16 05 04 13 33 42 41 30 10 01",
  T: "06 46/26 20",
  U: "06 01 10 30 41 46",
  V: "06 20 46",
  W: "06 10 23 30 46",
  X: "00 46/06 40",
  Y: "06 23 46/23 20",
  Z: "06 46 00 40",
  "-": "13 33",
  "+": "13 33/22 24",
  ".": "20 21",
  ",": "21 10",
  ":": "21 22/24 25",
  "°": "15 24 35 26 15",
  "'": "26 24",
  "(": "36 25 21 30",
  ")": "16 25 21 10",
  "×": "12 34/14 32",
};

const WIDE = 4;
const TALL = 6;
/** From one letter to the next, in units of the grid. */
const STEP = 5.6;

/** How long a word is, in mm, at a height of its letters. */
export const letteringWidth = (text: string, height: number): number =>
  ((text.length * STEP - (STEP - WIDE)) * height) / TALL;

/**
 * A word as lines, x1 y1 x2 y2 in mm: `at` is the left, middle or right end of its base line. Letters are capitals;
 * signs that are not in the set are left out, their place kept.
 */
export function lettering(
  text: string,
  [x, y]: Vec2,
  height: number,
  align: "start" | "middle" | "end" = "start",
): number[] {
  const unit = height / TALL;
  const shift = { start: 0, middle: 0.5, end: 1 }[align] * letteringWidth(text, height);
  const lines: number[] = [];
  [...text.toUpperCase()].forEach((sign, i) => {
    const left = x - shift + i * STEP * unit;
    for (const stroke of (GLYPHS[sign] ?? "").split("/")) {
      const places = stroke.split(" ").map(([dx, dy]) => [left + Number(dx) * unit, y - Number(dy) * unit]);
      for (let n = 1; n < places.length; n++) lines.push(...places[n - 1], ...places[n]);
    }
  });
  return lines;
}
