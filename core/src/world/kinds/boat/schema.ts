import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, metresIn, named, Size, Standing, strict, Type } from "../../../fields";

/**
 * Boats: how long and wide each usually is, how high its side stands over the water, and how deep it lies, m (common
 * practice).
 */
export const BOATS = {
  dinghy: { label: "Dinghy", length: 3.6, width: 1.5, side: 0.5, draught: 0.2 },
  sailing: { label: "Sailing boat", length: 8, width: 2.6, side: 0.9, draught: 0.6 },
  fishing: { label: "Fishing boat", length: 12, width: 4, side: 1.5, draught: 1.2 },
  barge: { label: "Barge", length: 26, width: 5, side: 1.2, draught: 1 },
  ferry: { label: "Ferry", length: 40, width: 10, side: 2.6, draught: 1.8 },
} as const;
export type BoatThing = keyof typeof BOATS;

/** A boat on the water: `at` is its middle on the waterline, whose height that is. */
export const BoatSchema = strict({
  id: Id,
  kind: Type.Literal("boat"),
  name: Type.String({ maxLength: 200 }),
  thing: Type.Unsafe<BoatThing>({ type: "string", enum: Object.keys(BOATS) }),
  at: Standing("Water over the ground"),
  heading: named("Points along the heading", Heading),
  length: named("Length", Size),
  width: named("Width", Size),
  side: named("Side over the water", Size),
  draught: named("Draught", metresIn({ minimum: 0.02, maximum: 30 })),
  ...Flags,
});

export type Boat = Static<typeof BoatSchema>;
