import { Type, type Static } from "@sinclair/typebox";
import { Flags, Footprint, Heading, Id, Raised, Size, strict } from "../../../fields";

/** A paved place: raised by its kerb, with the joints of its slabs along a heading and across. */
export const SquareSchema = strict({
  id: Id,
  kind: Type.Literal("square"),
  name: Type.String({ maxLength: 200 }),
  footprint: Footprint,
  kerb: Raised,
  slabs: Type.Optional(Size),
  heading: Heading,
  ...Flags,
});

export type Square = Static<typeof SquareSchema>;
