import { Type, type Static } from "@sinclair/typebox";
import { Flags, Id, Metres, Point2, Raised, Size, strict } from "../../../fields";

/** A deck from one place to another, flat below or on an arch, with a parapet on both sides. */
export const BridgeSchema = strict({
  id: Id,
  kind: Type.Literal("bridge"),
  name: Type.String({ maxLength: 200 }),
  path: Type.Array(Point2(Metres), { minItems: 2, maxItems: 2 }),
  width: Size,
  /** Height of the deck, its thickness where it is thinnest, and the rise of the arch under it, m. */
  level: Metres,
  thickness: Size,
  arch: Raised,
  /** Height and thickness of the parapets, m. */
  parapet: Type.Optional(strict({ height: Size, thickness: Size })),
  ...Flags,
});

export type Bridge = Static<typeof BridgeSchema>;
