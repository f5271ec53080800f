import { Type, type Static } from "@sinclair/typebox";
import { Flags, Footprint, Heading, Id, Metres, Raised, Size, strict } from "../../../fields";
import { ROOFS, type RoofKind } from "./roofs";

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
  /** Height of its foot, m. */
  base: Metres,
  /** From the foot to the eaves, m. */
  height: Size,
  storeys: Type.Optional(Type.Integer({ minimum: 1, maximum: 300 })),
  /** Upper parts, each so far inside the one below and so high, m. */
  setbacks: Type.Optional(Type.Array(strict({ inset: Size, height: Size }), { maxItems: 12 })),
  /** `rise` is what the roof adds to the height, or the parapet of a flat one; `turned` runs its ridge across. */
  roof: strict({ kind: Roof, rise: Type.Optional(Size), turned: Type.Optional(Type.Boolean()) }),
  /** Stacks through the roof: their middle on the plan, their side, and how far they rise over the eaves, m. */
  chimneys: Type.Optional(Type.Array(strict({ x: Metres, y: Metres, side: Size, rise: Size }), { maxItems: 40 })),
  /**
   * Boxes on the roof, for lifts and stairs: their middle, their length along the longest side, width, and rise over
   * the eaves, m.
   */
  boxes: Type.Optional(
    Type.Array(strict({ x: Metres, y: Metres, length: Size, width: Size, rise: Size }), { maxItems: 40 }),
  ),
  /**
   * Ways straight through at the foot: where one enters, on the wall nearest to x and y; arched, its height is that
   * of its crown, m.
   */
  passages: Type.Optional(
    Type.Array(strict({ x: Metres, y: Metres, width: Size, height: Size, arch: Type.Optional(Type.Boolean()) }), {
      maxItems: 20,
    }),
  ),
  /**
   * The ground rises along a heading by so many m in a hundred: the foot follows it, or stands on it in so many level
   * steps.
   */
  slope: Type.Optional(
    strict({
      heading: Heading,
      grade: Type.Number({ exclusiveMinimum: 0, maximum: 200 }),
      steps: Type.Optional(Type.Integer({ minimum: 2, maximum: 60 })),
    }),
  ),
  /**
   * One window to each so many m of wall, in every storey, so wide and high over its sill, m; `party` leaves the
   * walls beside the first door's without any.
   */
  windows: Type.Optional(
    strict({ every: Size, width: Size, height: Size, sill: Raised, party: Type.Optional(Type.Boolean()) }),
  ),
  /** Doors, each in the wall nearest to x and y, m. */
  doors: Type.Optional(Type.Array(strict({ x: Metres, y: Metres, width: Size, height: Size }), { maxItems: 40 })),
  /** The row that it was laid in by rule, and whether it stays when the row is rolled again. */
  row: Type.Optional(Id),
  kept: Type.Optional(Type.Boolean()),
  /** Its wall is round: a drum, whatever number of corners stands for it. */
  round: Type.Optional(Type.Boolean()),
  ...Flags,
});

export type Building = Static<typeof BuildingSchema>;
