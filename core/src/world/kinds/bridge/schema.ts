import type { Static } from "@sinclair/typebox";
import { Flags, Id, Metres, named, Point2, Raised, Size, strict, Type } from "../../../fields";

/** A deck from one place to another, flat below or on an arch, with a parapet on both sides. */
export const BridgeSchema = strict({
  id: Id,
  kind: Type.Literal("bridge"),
  name: Type.String({ maxLength: 200 }),
  path: Type.Array(Point2(Metres), { minItems: 2, maxItems: 2 }),
  width: named("Width", Size),
  /** Height of the deck, its thickness where it is thinnest, and the rise of the arch under it, m. */
  level: named("Deck over the ground", Metres),
  thickness: named("Thickness of the deck", Size),
  arch: named("Rise of its arch", Raised),
  /** Height and thickness of the parapets, m. */
  parapet: Type.Optional(
    strict({ height: named("Height of the parapets", Size), thickness: named("Thickness of the parapets", Size) }),
  ),
  ...Flags,
});

export type Bridge = Static<typeof BridgeSchema>;
