/** The pages of a set-up sheet, mm: A4 with two columns. */
export const PAGE = { width: 210, height: 297, margin: 13 };
export const COLUMN = (PAGE.width - 2 * PAGE.margin - 8) / 2;
export const RIGHT = PAGE.margin + COLUMN + 8;
export const BOTTOM = PAGE.height - PAGE.margin;
export const QUIET = "#5d5a50";
export const HAIR = "#cbc6b6";
