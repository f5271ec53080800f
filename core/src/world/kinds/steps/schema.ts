import { Type, type Static } from "@sinclair/typebox";
import { Flags, Heading, Id, Metres, Point3, Size, strict } from "../../../fields";

/**
 * A flight of steps, or with `ramp` a ramp: from the middle of its foot up along a heading, `count` risers of `riser`
 * m over treads of `tread` m.
 */
export const StepsSchema = strict({
  id: Id,
  kind: Type.Literal("steps"),
  name: Type.String({ maxLength: 200 }),
  foot: Point3(Metres),
  heading: Heading,
  width: Size,
  count: Type.Integer({ minimum: 1, maximum: 500 }),
  riser: Size,
  tread: Size,
  ramp: Type.Optional(Type.Boolean()),
  ...Flags,
});

export type Steps = Static<typeof StepsSchema>;
