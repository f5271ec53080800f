import { createRequire } from "node:module";
import { MM, type Doc } from "./page";

const files = createRequire(import.meta.url);

/** A typeface as it ships: Latin, and what goes beyond it. */
const FACES = {
  words: [
    "@fontsource/instrument-sans/files/instrument-sans-latin-400-normal.woff",
    "@fontsource/instrument-sans/files/instrument-sans-latin-ext-400-normal.woff",
  ],
  bold: [
    "@fontsource/instrument-sans/files/instrument-sans-latin-600-normal.woff",
    "@fontsource/instrument-sans/files/instrument-sans-latin-ext-600-normal.woff",
  ],
  measures: [
    "@fontsource/spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff",
    "@fontsource/spline-sans-mono/files/spline-sans-mono-latin-ext-400-normal.woff",
  ],
} as const;
export type Face = keyof typeof FACES;

export function registerFonts(doc: Doc): void {
  for (const [face, [latin, beyond]] of Object.entries(FACES)) {
    doc.registerFont(face, files.resolve(latin));
    doc.registerFont(`${face}-beyond`, files.resolve(beyond));
  }
}

export interface TextStyle {
  readonly face?: Face;
  /** Size in points. */
  readonly size: number;
  readonly align?: "left" | "right" | "center";
  /** Wraps at this width, mm. */
  readonly width?: number;
  readonly colour?: string;
}

/** Letters of other alphabets, which the typefaces do not have, become question marks. */
const readable = (text: string): string =>
  text.replace(/[^\u0020-\u024f\u2010-\u2026\u2032\u2033\u2191\u2193\u2212]/gu, "?");
/** Which signs the Latin files hold, by the ranges their style sheets name. */
const BEYOND = "\\u0100-\\u0130\\u0132-\\u0151\\u0154-\\u02ba";

/**
 * Writes text with its top left corner at a place in mm, each run of letters in the file that has them.
 * @returns how far down it reached, mm
 */
export function write(
  doc: Doc,
  text: string,
  x: number,
  y: number,
  { face = "words", size, align = "left", width, colour = "#26251f" }: TextStyle,
): number {
  const clean = readable(text);
  doc.fillColor(colour).fontSize(size);
  const box = { align, ...(width === undefined ? { lineBreak: false } : { width: width * MM }) };
  const runs = clean.match(new RegExp(`[${BEYOND}]+|[^${BEYOND}]+`, "g")) ?? [];
  runs.forEach((run, i) => {
    doc.font(new RegExp(`^[${BEYOND}]`).test(run) ? `${face}-beyond` : face);
    if (i === 0) doc.text(run, x * MM, y * MM, { ...box, continued: runs.length > 1 });
    else doc.text(run, { ...box, continued: i < runs.length - 1 });
  });
  return doc.y / MM;
}

/** How tall text is when wrapped at a width, mm. */
export function heightOf(
  doc: Doc,
  text: string,
  { face = "words", size, width }: TextStyle & { readonly width: number },
): number {
  return (
    doc
      .font(face)
      .fontSize(size)
      .heightOfString(readable(text), { width: width * MM }) / MM
  );
}
