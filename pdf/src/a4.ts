import { MM, type Doc } from "./page";

/** The pages of a set-up sheet, mm: A4 with two columns. */
export const PAGE = { width: 210, height: 297, margin: 13 };
export const COLUMN = (PAGE.width - 2 * PAGE.margin - 8) / 2;
export const RIGHT = PAGE.margin + COLUMN + 8;
export const BOTTOM = PAGE.height - PAGE.margin;
export const QUIET = "#5d5a50";
const HAIR = "#cbc6b6";

/** A straight line, mm. */
export const line = (doc: Doc, x1: number, y1: number, x2: number, y2: number, width = 0.15, colour = HAIR) =>
  doc
    .lineWidth(width * MM)
    .strokeColor(colour)
    .moveTo(x1 * MM, y1 * MM)
    .lineTo(x2 * MM, y2 * MM)
    .stroke();
