import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, named, Size, Standing, strict, Type } from "../../../fields";

/** A box of a building: footprint from `origin` by `length` along the heading and `width` along heading + 90. */
export const BlockSchema = strict({
  id: Id,
  kind: Type.Literal("block"),
  name: Type.String({ maxLength: 200 }),
  origin: Standing("Base over the ground"),
  heading: named("Heading", Heading),
  length: named("Length", Size),
  width: named("Width", Size),
  height: named("Height", Size),
  ...Flags,
});

export type Block = Static<typeof BlockSchema>;
