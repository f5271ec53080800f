import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, metresIn, named, offered, Size, Standing, strict, Type } from "../../../fields";
import { OUTLINE_PATTERN } from "../../../glyphs";

/**
 * A sign: letters on a board, or by themselves. `at` is the middle of its lower edge at its back; it is read by who
 * faces it against its heading. The letters are kept as outlines, so that no font is needed to draw them.
 */
export const SignSchema = strict({
  id: Id,
  kind: Type.Literal("sign"),
  name: Type.String({ maxLength: 200 }),
  /** What it says, and the name of the typeface that it is set in. */
  text: Type.String({ maxLength: 200 }),
  typeface: Type.String({ maxLength: 100 }),
  /** The outline of each letter in thousandths of the height of a capital, where it stands in the line. */
  letters: Type.Array(Type.String({ maxLength: 8000, pattern: OUTLINE_PATTERN }), { maxItems: 400 }),
  /** How long the line is, and how high small letters are, in those thousandths. */
  line: Type.Number({ minimum: 0, maximum: 1e6 }),
  small: Type.Number({ minimum: 0, maximum: 5000 }),
  at: Standing("Lower edge over the ground"),
  heading: named("Faces along the heading", Heading),
  capital: named("Height of a capital", offered(0.02, 20, Size)),
  /** How far the letters stand out; where nothing is said, they are painted. */
  raised: Type.Optional(
    named("Letters stand out by", offered(0.005, 2, metresIn({ exclusiveMinimum: 0, maximum: 10 }))),
  ),
  board: Type.Optional(
    strict({
      width: named("Board, from side to side", Size),
      height: named("Board, height", Size),
      depth: named("Board, depth", Size),
    }),
  ),
  /** It is read from behind, too. */
  both: Type.Optional(Type.Boolean()),
  /** Its letters stand one under another. */
  stacked: Type.Optional(Type.Boolean()),
  /** It is seen from behind, as on the inside of a window. */
  mirrored: Type.Optional(Type.Boolean()),
  /** The boxes of its letters, and the lines that they stand on and reach up to, are drawn. */
  guides: Type.Optional(Type.Boolean()),
  ...Flags,
});

export type Sign = Static<typeof SignSchema>;
