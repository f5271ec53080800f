import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, named, Size, Standing, strict, Type } from "../../../fields";

/**
 * A flight of steps, or with `ramp` a ramp: from the middle of its foot up along a heading, `count` risers of `riser`
 * m over treads of `tread` m.
 */
export const StepsSchema = strict({
  id: Id,
  kind: Type.Literal("steps"),
  name: Type.String({ maxLength: 200 }),
  foot: Standing("Foot over the ground"),
  heading: named("Up along the heading", Heading),
  width: named("Width", Size),
  count: named("Risers", Type.Integer({ minimum: 1, maximum: 500 })),
  riser: named("Riser", Size),
  tread: named("Tread", Size),
  ramp: Type.Optional(Type.Boolean()),
  ...Flags,
});

export type Steps = Static<typeof StepsSchema>;
