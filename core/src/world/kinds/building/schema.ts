import type { Static } from "@sinclair/typebox";
import {
  Elevation,
  Flags,
  Footprint,
  Heading,
  Id,
  Metres,
  named,
  offered,
  Raised,
  Size,
  strict,
  Type,
} from "../../../fields";
import { DressSchema } from "./dressSchema";
import { FrontSchema } from "./frontSchema";
import { COVERS, ROOFS, type CoverId, type RoofKind } from "./roofs";

/** Where a part of a building stands on the plan, m. */
const At = { x: named("East", Metres), y: named("North", Metres) };
const [Width, Height, Length] = [named("Width", Size), named("Height", Size), named("Length", Size)];
const Rise = named("Over the eaves", Size);

/** A side of a footprint, or a corner, counter-clockwise from 0. */
const Side = Type.Integer({ minimum: 0, maximum: 9999 });

const Roof = Type.Unsafe<RoofKind>({ type: "string", enum: Object.keys(ROOFS) });

/** A mass on any footprint: walls up to the eaves, set-backs above them, and a roof on the topmost. */
export const BuildingSchema = strict({
  id: Id,
  kind: Type.Literal("building"),
  name: Type.String({ maxLength: 200 }),
  /** Corners on the plan, m. */
  footprint: Footprint,
  /** Corners of each courtyard on the plan, m: open to the sky, from the ground up. */
  courtyards: Type.Optional(Type.Array(Footprint, { maxItems: 40 })),
  /** Walls that bow out of their side in an arc, by how much at its middle, m; inwards where that is negative. */
  bows: Type.Optional(
    Type.Array(strict({ side: Side, rise: named("Bows out by", offered(-50, 50, Metres)) }), { maxItems: 100 }),
  ),
  /** Corners that are round, by their radius, m: of the parts over set-backs, by so much less. */
  corners: Type.Optional(
    Type.Array(strict({ corner: Side, radius: named("Radius of the corner", Size) }), { maxItems: 100 }),
  ),
  /** Height of its foot, m. */
  base: Elevation("Foot over the ground"),
  /** From the foot to the eaves, m. */
  height: named("Height to the eaves", Size),
  /** The height of the ground floor, where it is not that of the storeys over it, m. */
  groundFloor: Type.Optional(named("Ground floor", Size)),
  /** The heights of storeys from the ground up, m, in place of that: those that are not said share what is left. */
  storeyHeights: Type.Optional(Type.Array(named("Storey", Size), { maxItems: 299 })),
  storeys: Type.Optional(named("Storeys", Type.Integer({ minimum: 1, maximum: 300 }))),
  /** Upper parts, each so far inside the one below and so high, m. */
  setbacks: Type.Optional(Type.Array(strict({ inset: named("Set back by", Size), height: Height }), { maxItems: 12 })),
  /**
   * `rise` is what the roof adds to the height, or the parapet of a flat one; `turned` runs the ridge of one over a
   * rectangle across; the eaves of a hip or gable roof reach out by `overhang`. Its slopes are laid with `cover`, drawn
   * whole or as a hint at its edges.
   */
  roof: strict({
    kind: Roof,
    rise: Type.Optional(named("Rise of the roof", Size)),
    turned: Type.Optional(Type.Boolean()),
    overhang: Type.Optional(named("Eaves reach out by", offered(0.05, 3, Size))),
    cover: Type.Optional(Type.Unsafe<CoverId>({ type: "string", enum: Object.keys(COVERS) })),
    hint: Type.Optional(Type.Boolean()),
  }),
  /** Stacks through the roof: their middle on the plan, their side, and how far they rise over the eaves, m. */
  chimneys: Type.Optional(Type.Array(strict({ ...At, side: named("Side", Size), rise: Rise }), { maxItems: 40 })),
  /**
   * Boxes on the roof, for lifts and stairs: their middle, their length along the longest side, width, and rise over
   * the eaves, m.
   */
  boxes: Type.Optional(Type.Array(strict({ ...At, length: Length, width: Width, rise: Rise }), { maxItems: 40 })),
  /**
   * Ways straight through at the foot: where one enters, on the wall nearest to x and y; arched, its height is that
   * of its crown, m.
   */
  passages: Type.Optional(
    Type.Array(strict({ ...At, width: Width, height: Height, arch: Type.Optional(Type.Boolean()) }), {
      maxItems: 20,
    }),
  ),
  /**
   * The ground rises along a heading by so many m in a hundred: the foot follows it, or stands on it in so many level
   * steps.
   */
  slope: Type.Optional(
    strict({
      heading: named("Up along the heading", Heading),
      grade: named("Metres in a hundred", Type.Number({ exclusiveMinimum: 0, maximum: 200 })),
      steps: Type.Optional(named("Steps", Type.Integer({ minimum: 2, maximum: 60 }))),
    }),
  ),
  /**
   * One window to each so many m of wall, in every storey, so wide and high over its sill, m; `party` leaves the
   * walls beside the first door's without any.
   */
  windows: Type.Optional(
    strict({
      every: named("One every", Size),
      width: named("Width of a window", Size),
      height: named("Height of a window", Size),
      sill: named("Sill over the floor", Raised),
      party: Type.Optional(Type.Boolean()),
    }),
  ),
  /** Doors, each in the wall nearest to x and y, m. */
  doors: Type.Optional(Type.Array(strict({ ...At, width: Width, height: Height }), { maxItems: 40 })),
  /** The fronts of walls that have one of their own, by rule. */
  fronts: Type.Optional(Type.Array(FrontSchema, { maxItems: 400 })),
  dress: Type.Optional(DressSchema),
  /**
   * It is hollow: rooms within walls and over floors so thick, m, so many side by side in each storey, with doorways
   * between; or as they are drawn on the plan, in one storey or in all. What opens and is not closed to sight opens
   * into them.
   */
  rooms: Type.Optional(
    strict({
      wall: named("Thickness of the walls", offered(0.05, 2, Size)),
      slab: named("Thickness of the floors", offered(0.05, 1.5, Size)),
      across: Type.Optional(named("Rooms side by side", Type.Integer({ minimum: 1, maximum: 40 }))),
      drawn: Type.Optional(
        Type.Array(
          strict({ footprint: Footprint, storey: Type.Optional(Type.Integer({ minimum: 0, maximum: 299 })) }),
          { minItems: 1, maxItems: 200 },
        ),
      ),
    }),
  ),
  /** The row that it was laid in by rule, and whether it stays when the row is rolled again. */
  row: Type.Optional(Id),
  kept: Type.Optional(Type.Boolean()),
  /** Its wall is round: a drum, whatever number of corners stands for it. */
  round: Type.Optional(Type.Boolean()),
  ...Flags,
});

export type Building = Static<typeof BuildingSchema>;
