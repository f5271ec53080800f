import { Type, type Static } from "@sinclair/typebox";
import { Flags, Heading, Id, Metres, Point3, Size, strict } from "../../../fields";

/** A box of a building: footprint from `origin` by `length` along the heading and `width` along heading + 90. */
export const BlockSchema = strict({
  id: Id,
  kind: Type.Literal("block"),
  name: Type.String({ maxLength: 200 }),
  origin: Point3(Metres),
  heading: Heading,
  length: Size,
  width: Size,
  height: Size,
  ...Flags,
});

export type Block = Static<typeof BlockSchema>;
