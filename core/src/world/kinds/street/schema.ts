import type { Static } from "@sinclair/typebox";
import { Along, Flags, Id, metresIn, named, Path, Size, strict, Type } from "../../../fields";
import { BEDS, type Bed } from "../../track";
import { Curved, ROADWAY_ENDS, type RoadwayEnd } from "../kind";

/** On which side of the carriageway one drives. */
export const TRAFFIC = ["right", "left"] as const;
export type Traffic = (typeof TRAFFIC)[number];
const End = Type.Unsafe<RoadwayEnd>({ type: "string", enum: [...ROADWAY_ENDS] });

/** A street along a path: a carriageway between two raised pavements, and what is drawn on them. */
export const StreetSchema = strict({
  id: Id,
  kind: Type.Literal("street"),
  name: Type.String({ maxLength: 200 }),
  /** Corners of its middle line, m. */
  path: Path,
  ...Curved,
  /** Width of the carriageway, and of each pavement, m. */
  carriageway: named("Carriageway", Size),
  pavement: named("Pavements", metresIn({ minimum: 0, maximum: 1000 })),
  /** Height of the kerb, m. */
  kerb: named("Kerb", metresIn({ minimum: 0, maximum: 10 })),
  /** Joints of the pavement's slabs stand so far apart, m. */
  slabs: Type.Optional(named("Joints every", Size)),
  /** Dashes of the middle line and the gaps between them, m. */
  dashes: Type.Optional(strict({ line: named("Dash", Size), gap: named("Gap", Size) })),
  /** Lanes of the carriageway, told apart by dashes; two where nothing is said. */
  lanes: Type.Optional(named("Lanes", Type.Integer({ minimum: 1, maximum: 20, default: 2 }))),
  /** Tram rails along the middle, and what they lie on. */
  rails: Type.Optional(Type.Boolean()),
  bed: Type.Optional(Type.Unsafe<Bed>({ type: "string", enum: [...BEDS] })),
  /**
   * Where carts drive over a pavement: m along the path, how wide, and on which side of who walks it; there the kerb
   * is lowered.
   */
  driveways: Type.Optional(
    Type.Array(
      strict({
        at: named("Along the street", Along),
        width: named("Width", Size),
        side: Type.Unsafe<"left" | "right">({ type: "string", enum: ["left", "right"] }),
      }),
      { maxItems: 200 },
    ),
  ),
  /** Where people cross, m along the path: stripes, which stop the dashes. */
  crossings: Type.Optional(Type.Array(named("Along the street", Along), { maxItems: 200 })),
  /** What it has where it meets others: the radius of the kerbs, m, crossings, and lines to stop at. */
  junctions: Type.Optional(
    strict({
      radius: Type.Optional(named("Kerb radius at junctions", metresIn({ minimum: 1, maximum: 50, default: 3 }))),
      crossings: Type.Optional(Type.Boolean()),
      stopLines: Type.Optional(Type.Unsafe<Traffic>({ type: "string", enum: [...TRAFFIC] })),
    }),
  ),
  /** How its ends are closed where they meet nothing: open where nothing is said. */
  ends: Type.Optional(strict({ first: Type.Optional(End), last: Type.Optional(End) })),
  ...Flags,
});

export type Street = Static<typeof StreetSchema>;
