import type { Static } from "@sinclair/typebox";
import { Flags, Footprint, Heading, Id, Metres, metresIn, named, offered, Size, strict, Type } from "../../../fields";

/** A height over the level field, m. */
const Level = metresIn({ minimum: 0, maximum: 10_000 });

/**
 * Ground that rises over the level field: a terrace between retaining walls, an embankment, a slope, or a hill through
 * points of known height. Later ground lies on top of earlier one.
 */
export const GroundSchema = strict({
  id: Id,
  kind: Type.Literal("ground"),
  name: Type.String({ maxLength: 200 }),
  footprint: Footprint,
  /** How high its rim stands over the field, m: with a slope, at its lowest place. */
  height: named("Height of its rim", Level),
  /** Its rim rises along a heading by so many m in a hundred. */
  slope: Type.Optional(
    strict({
      heading: named("Up along the heading", Heading),
      grade: named(
        "Metres in a hundred",
        offered(0.5, 100, Type.Number({ exclusiveMinimum: 0, maximum: 200, default: 8 })),
      ),
    }),
  ),
  /** In place of walls it falls to the field along its rim, over so many m within its area. */
  bank: Type.Optional(named("Width of its embankment", offered(0.1, 500, Size))),
  /** Places within its area, and how high the ground is there, m. */
  spots: Type.Optional(
    Type.Array(
      strict({
        x: named("East of the origin", Metres),
        y: named("North of the origin", Metres),
        z: named("Height of the ground", Level),
      }),
      { maxItems: 2000 },
    ),
  ),
  /** Lines of one height are drawn on it, one every so many m. */
  contours: Type.Optional(named("Contour lines every", offered(0.05, 100, Size))),
  ...Flags,
});

export type Ground = Static<typeof GroundSchema>;
