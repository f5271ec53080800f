import { Type, type Static } from "@sinclair/typebox";
import { Flags, Footprint, Heading, Id, named, Raised, Size, strict } from "../../../fields";

/** A paved place: raised by its kerb, with the joints of its slabs along a heading and across. */
export const SquareSchema = strict({
  id: Id,
  kind: Type.Literal("square"),
  name: Type.String({ maxLength: 200 }),
  footprint: Footprint,
  kerb: named("Kerb", Raised),
  slabs: Type.Optional(named("Joints every", Size)),
  heading: named("Joints along the heading", Heading),
  ...Flags,
});

export type Square = Static<typeof SquareSchema>;
