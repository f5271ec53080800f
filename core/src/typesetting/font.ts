import * as fontkit from "fontkit";
import { BadInput } from "../problem";

/** No font file is larger than this, bytes. */
export const MAX_FONT = 20_000_000;

type Font = fontkit.Font;

/** A typeface as it is set: its font, and the heights of its capitals and of its small letters, in its own units. */
export interface Typeface {
  readonly font: Font;
  readonly capital: number;
  readonly small: number;
}

const refuse = (message: string): BadInput => new BadInput([{ path: "font", message }]);

/** How high a letter of a font stands, in its units; 0 where it has none. */
function heightOf(font: Font, letter: string): number {
  const code = letter.codePointAt(0)!;
  return font.hasGlyphForCodePoint(code) ? Math.max(0, font.glyphForCodePoint(code).bbox.maxY) : 0;
}

/**
 * Reads a font file: TrueType, OpenType, WOFF or WOFF2, and of a collection the first.
 * @throws BadInput for what is too large, or cannot be read as a font
 */
export function readFont(bytes: Uint8Array): Typeface {
  if (bytes.length > MAX_FONT) throw refuse(`the file is larger than ${MAX_FONT / 1e6} MB.`);
  try {
    // It reads buffers of Node, and what is like them.
    const opened = fontkit.create(bytes as Buffer);
    const font = "fonts" in opened ? opened.fonts[0] : opened;
    const ascent = font.ascent || font.unitsPerEm;
    const capital = font.capHeight || heightOf(font, "H") || 0.7 * ascent;
    return { font, capital, small: font.xHeight || heightOf(font, "x") || 0.7 * capital };
  } catch (wrong) {
    throw refuse(`the file cannot be read as a font${wrong instanceof Error ? `: ${wrong.message}` : ""}.`);
  }
}
