import { Type, type Static } from "@sinclair/typebox";
import { Flags, Footprint, Heading, Id, Metres, Path, Point2, Point3, Size, strict } from "./fields";
import { ROOFS, type RoofKind } from "../world";

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

/** A place on a path, m from its beginning. */
const Along = Type.Number({ minimum: 0, maximum: 1e6 });
const Roof = Type.Unsafe<RoofKind>({ type: "string", enum: Object.keys(ROOFS) });
const Seed = Type.Integer({ minimum: 0, maximum: 4294967295 });
/** A height over a lower edge, or nothing, m. */
const Raised = Type.Number({ minimum: 0, maximum: 100 });

/** A mass on any footprint: walls up to the eaves, set-backs above them, and a roof on the topmost. */
export const BuildingSchema = strict({
  id: Id,
  kind: Type.Literal("building"),
  name: Type.String({ maxLength: 200 }),
  /** Corners on the plan, m. */
  footprint: Footprint,
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

/** A street along a path: a carriageway between two raised pavements, and what is drawn on them. */
export const StreetSchema = strict({
  id: Id,
  kind: Type.Literal("street"),
  name: Type.String({ maxLength: 200 }),
  /** Corners of its middle line, m. */
  path: Path,
  /** Width of the carriageway, and of each pavement, m. */
  carriageway: Size,
  pavement: Type.Number({ minimum: 0, maximum: 1000 }),
  /** Height of the kerb, m. */
  kerb: Type.Number({ minimum: 0, maximum: 10 }),
  /** Joints of the pavement's slabs stand so far apart, m. */
  slabs: Type.Optional(Size),
  /** Dashes of the middle line and the gaps between them, m. */
  dashes: Type.Optional(strict({ line: Size, gap: Size })),
  /** Lanes of the carriageway, told apart by dashes; two where nothing is said. */
  lanes: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
  /** Tram rails along the middle, and what they lie on. */
  rails: Type.Optional(Type.Boolean()),
  bed: Type.Optional(Type.Unsafe<"sleepers" | "plates">({ type: "string", enum: ["sleepers", "plates"] })),
  /**
   * Where carts drive over a pavement: m along the path, how wide, and on which side of who walks it; there the kerb
   * is lowered.
   */
  driveways: Type.Optional(
    Type.Array(
      strict({
        at: Along,
        width: Size,
        side: Type.Unsafe<"left" | "right">({ type: "string", enum: ["left", "right"] }),
      }),
      { maxItems: 200 },
    ),
  ),
  /** Where people cross, m along the path: stripes, which stop the dashes. */
  crossings: Type.Optional(Type.Array(Along, { maxItems: 200 })),
  ...Flags,
});
export type Street = Static<typeof StreetSchema>;

/** Water between two quay walls, along a path, with locks that let boats down. */
export const CanalSchema = strict({
  id: Id,
  kind: Type.Literal("canal"),
  name: Type.String({ maxLength: 200 }),
  path: Path,
  /** Of the water, and of the quay walls beside it, m. */
  width: Size,
  quay: Size,
  /** How far the water lies under the ground, and how far the walls rise over it, m. */
  depth: Size,
  coping: Raised,
  /** Locks: where each begins, how long it is, and how far the water falls in it, m. */
  locks: Type.Optional(Type.Array(strict({ at: Along, length: Size, fall: Size }), { maxItems: 50 })),
  ...Flags,
});
export type Canal = Static<typeof CanalSchema>;

/** A deck from one place to another, flat below or on an arch, with a parapet on both sides. */
export const BridgeSchema = strict({
  id: Id,
  kind: Type.Literal("bridge"),
  name: Type.String({ maxLength: 200 }),
  path: Type.Array(Point2(Metres), { minItems: 2, maxItems: 2 }),
  width: Size,
  /** Height of the deck, its thickness where it is thinnest, and the rise of the arch under it, m. */
  level: Metres,
  thickness: Size,
  arch: Raised,
  /** Height and thickness of the parapets, m. */
  parapet: Type.Optional(strict({ height: Size, thickness: Size })),
  ...Flags,
});
export type Bridge = Static<typeof BridgeSchema>;

/** A paved place: raised by its kerb, with the joints of its slabs along a heading and across. */
export const SquareSchema = strict({
  id: Id,
  kind: Type.Literal("square"),
  name: Type.String({ maxLength: 200 }),
  footprint: Footprint,
  kerb: Raised,
  slabs: Type.Optional(Size),
  heading: Heading,
  ...Flags,
});
export type Square = Static<typeof SquareSchema>;

/**
 * What closes a view far away: rows of plain blocks, or ridges of hills, one behind the other to the right of who
 * walks its path.
 */
export const SkylineSchema = strict({
  id: Id,
  kind: Type.Literal("skyline"),
  name: Type.String({ maxLength: 200 }),
  path: Path,
  of: Type.Unsafe<"blocks" | "ridges">({ type: "string", enum: ["blocks", "ridges"] }),
  rows: Type.Integer({ minimum: 1, maximum: 12 }),
  /** From one row to the next, m. */
  behind: Size,
  /** Blocks or hills are so wide and so high, m; rows behind are higher by what is between. */
  widths: strict({ least: Size, most: Size }),
  heights: strict({ least: Size, most: Size }),
  seed: Seed,
  ...Flags,
});
export type Skyline = Static<typeof SkylineSchema>;

const Storeys = Type.Integer({ minimum: 1, maximum: 100 });

/**
 * A street side that is built up by rule, to the right of who walks from its one end to the other; or a lot, around
 * its rim.
 */
export const RowSchema = strict({
  id: Id,
  name: Type.String({ maxLength: 200 }),
  from: Type.Optional(Point2(Metres)),
  to: Type.Optional(Point2(Metres)),
  lot: Type.Optional(Footprint),
  seed: Seed,
  /**
   * Fronts are so wide and lots so deep, m; houses have so many storeys of so many m; so many of a hundred gaps are
   * alleys.
   */
  fronts: strict({ least: Size, most: Size }),
  depth: Size,
  storeys: strict({ least: Storeys, most: Storeys }),
  storey: Size,
  alleys: Type.Number({ minimum: 0, maximum: 100 }),
  roofs: Type.Array(Roof, { minItems: 1, maxItems: 30 }),
  /** Houses at its ends, or at the corners of a lot, are so many storeys higher, under a roof of their own. */
  towers: Type.Optional(strict({ storeys: Type.Integer({ minimum: 0, maximum: 50 }), roof: Roof })),
  /** Without windows and doors. */
  blind: Type.Optional(Type.Boolean()),
});
export type Row = Static<typeof RowSchema>;

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

/**
 * The schema of every kind of element; what is built of them is in `KINDS`. Apart, so that a page that only draws
 * need not load them.
 */
export const SCHEMAS = {
  block: BlockSchema,
  building: BuildingSchema,
  street: StreetSchema,
  steps: StepsSchema,
  canal: CanalSchema,
  bridge: BridgeSchema,
  square: SquareSchema,
  skyline: SkylineSchema,
} as const;

export type Element = Block | Building | Street | Steps | Canal | Bridge | Square | Skyline;
