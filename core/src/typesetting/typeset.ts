import type { Glyph } from "fontkit";
import { UNIT } from "../glyphs";
import { BadInput } from "../problem";
import type { Typeface } from "./font";
import { runsOf } from "./runs";

/** No text on a sign is longer than this. */
export const MAX_TEXT = 200;

/** A line of letters, in thousandths of the height of a capital. */
export interface Typeset {
  /** The outline of each glyph that is seen, from left to right, where it stands in the line. */
  readonly letters: readonly string[];
  readonly width: number;
  /** The height of small letters. */
  readonly small: number;
  /** Characters that no typeface has: they are left out. */
  readonly missing: readonly string[];
}

const COMMANDS: Readonly<Record<string, string>> = {
  moveTo: "M",
  lineTo: "L",
  quadraticCurveTo: "Q",
  bezierCurveTo: "C",
  closePath: "Z",
};

/** The outline of a glyph, scaled and moved. */
const outlineOf = ({ path }: Glyph, scale: number, x: number, y: number): string =>
  path.commands
    .map(({ command, args }) => {
      const places = args.map((value, i) => Math.round(scale * value + (i % 2 === 0 ? x : y)));
      return `${COMMANDS[command]}${places.join(" ")}`;
    })
    .join("");

/** The glyphs of a run, from left to right. @throws BadInput for a font whose tables cannot be read */
function shaped(font: Typeface["font"], text: string, rightToLeft: boolean) {
  try {
    return font.layout(text, undefined, undefined, undefined, rightToLeft ? "rtl" : "ltr");
  } catch (wrong) {
    throw new BadInput([
      { path: "font", message: `it cannot be read${wrong instanceof Error ? `: ${wrong.message}` : ""}.` },
    ]);
  }
}

/**
 * Sets a line of text: kerned, with ligatures, accents and joined letters as its typefaces have them, and in the order
 * in which it is seen.
 * @param faces in the order in which they are asked for each character
 * @throws BadInput for a text that is too long
 */
export function typeset(text: string, faces: readonly Typeface[]): Typeset {
  if (text.length > MAX_TEXT)
    throw new BadInput([
      { path: "text", message: `has ${text.length} characters: ${MAX_TEXT} go on a sign at the most.` },
    ]);
  const { runs, missing } = runsOf(text.normalize("NFC").replace(/\s+/g, " ").trim(), faces);
  const letters: string[] = [];
  let x = 0;
  for (const { text: of, face, rightToLeft } of runs) {
    const { font, capital } = faces[face];
    const scale = UNIT / capital;
    const { glyphs, positions } = shaped(font, of, rightToLeft);
    glyphs.forEach((glyph, i) => {
      const { xAdvance, xOffset, yOffset } = positions[i];
      const outline = outlineOf(glyph, scale, x + scale * xOffset, scale * yOffset);
      if (outline) letters.push(outline);
      x += scale * xAdvance;
    });
  }
  const [first] = faces;
  return { letters, width: Math.round(x), small: Math.round((UNIT * first.small) / first.capital), missing };
}
