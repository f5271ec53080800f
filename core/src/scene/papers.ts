import type { Rect } from "../geometry";
import type { Sheet } from "../schema";

const INCH = 25.4;

/** The trimmed size of paper A n, upright, in mm: halved n times and rounded down (ISO 216). */
export function isoA(n: number): readonly [width: number, height: number] {
  let [short, long] = [841, 1189];
  for (let i = 0; i < n; i++) [short, long] = [Math.floor(long / 2), short];
  return [short, long];
}

/** A paper upright, with its live area where it has one. */
interface Paper {
  readonly id: string;
  readonly size: readonly [width: number, height: number];
  readonly live?: readonly [width: number, height: number];
}

export const PAPERS: readonly Paper[] = [
  { id: "A4", size: isoA(4) },
  { id: "A3", size: isoA(3) },
  { id: "A2", size: isoA(2) },
  // 10 x 15 in of live area in the middle of an 11 x 17 in board: common practice.
  { id: "Comic board 11 x 17 in", size: [11 * INCH, 17 * INCH], live: [10 * INCH, 15 * INCH] },
];

/** A sheet of a standard paper, upright or landscape. */
export function sheetOf(paper: Paper, landscape: boolean): Sheet {
  const turn = ([w, h]: readonly [number, number]) => (landscape ? [h, w] : [w, h]);
  const [width, height] = turn(paper.size);
  const sheet: Sheet = { width, height, paper: paper.id };
  if (!paper.live) return sheet;
  const [w, h] = turn(paper.live);
  return { ...sheet, live: { x: (width - w) / 2, y: (height - h) / 2, width: w, height: h } };
}

/** The panel frame a margin inside a sheet, or its live area where it has one. */
export function frameOn(sheet: Sheet, margin = 15): Rect {
  if (sheet.live) return { ...sheet.live };
  const m = Math.min(margin, sheet.width / 4, sheet.height / 4);
  return { x: m, y: m, width: sheet.width - 2 * m, height: sheet.height - 2 * m };
}
