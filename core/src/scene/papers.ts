import type { Rect } from "../geometry";
import type { Sheet } from "../schema";

const INCH = 25.4;

/** Upright, in mm. */
type Size = readonly [width: number, height: number];

/** A size halved n times, each time rounded down to whole mm. */
function halved([short, long]: Size, n: number): Size {
  return n === 0 ? [short, long] : halved([Math.floor(long / 2), short], n - 1);
}

/** The trimmed size of paper A n (ISO 216). */
export const isoA = (n: number): Size => halved([841, 1189], n);
/** The trimmed size of paper B n (ISO 216). */
export const isoB = (n: number): Size => halved([1000, 1414], n);
const inches = (width: number, height: number): Size => [width * INCH, height * INCH];

/** A paper upright, with its live area where it has one. */
interface Paper {
  readonly id: string;
  readonly size: Size;
  readonly live?: Size;
}

/** Papers to draw on: ISO 216, ANSI/ASME Y14.1, and boards with a live area in their middle (common practice). */
export const PAPERS: readonly Paper[] = [
  ...[5, 4, 3, 2, 1, 0].map((n) => ({ id: `A${n}`, size: isoA(n) })),
  ...[5, 4, 3, 2, 1].map((n) => ({ id: `B${n}`, size: isoB(n) })),
  { id: "ANSI A, Letter", size: inches(8.5, 11) },
  { id: "ANSI B, Tabloid", size: inches(11, 17) },
  { id: "ANSI C", size: inches(17, 22) },
  { id: "ANSI D", size: inches(22, 34) },
  { id: "Comic board 11 x 17 in", size: inches(11, 17), live: inches(10, 15) },
  { id: "Comic board 14 x 17 in", size: inches(14, 17), live: inches(12, 16) },
  // JIS P 0138's B4, with the inner frame that story pages keep to (from memory).
  { id: "Comic board B4 (JIS)", size: [257, 364], live: [180, 270] },
];

/** A paper by what it is called. @throws Error where there is none of that name */
export function paperOf(id: string): Paper {
  const paper = PAPERS.find((one) => one.id === id);
  if (!paper) throw new Error(`There is no paper "${id}".`);
  return paper;
}

/** A sheet of a standard paper, upright or landscape. */
export function sheetOf(paper: Paper, landscape: boolean): Sheet {
  const turn = ([w, h]: Size) => (landscape ? [h, w] : [w, h]);
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
