import type { Static } from "@sinclair/typebox";
import { degreesIn, Flags, Heading, Id, named, offered, Size, Standing, strict, Type } from "../../../fields";

const Lean = (limit: number) => offered(-limit, limit, degreesIn({ minimum: -limit, maximum: limit }));

/**
 * A box that leans: its length runs along the heading and rises by the tilt, it is rolled clockwise as seen from
 * behind, and its lowest corner stands at the height of `middle`, which is its middle on the plan.
 */
export const CrateSchema = strict({
  id: Id,
  kind: Type.Literal("crate"),
  name: Type.String({ maxLength: 200 }),
  middle: Standing("Lowest corner over the ground"),
  heading: named("Heading", Heading),
  tilt: named("Tilt", Lean(90)),
  roll: named("Roll", Lean(180)),
  length: named("Length", Size),
  width: named("Width", Size),
  height: named("Height", Size),
  ...Flags,
});

export type Crate = Static<typeof CrateSchema>;
