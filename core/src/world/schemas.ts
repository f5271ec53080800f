import { Type, type Static } from "@sinclair/typebox";
import { Flags, Heading, Id, Metres, Point2, Point3, Size, strict } from "./fields";
import { ROOFS, type RoofKind } from "./roofs";

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

/** A mass on any footprint: walls up to the eaves, set-backs above them, and a roof on the topmost. */
export const BuildingSchema = strict({
  id: Id,
  kind: Type.Literal("building"),
  name: Type.String({ maxLength: 200 }),
  /** Corners on the plan, m. */
  footprint: Type.Array(Point2(Metres), { minItems: 3, maxItems: 12_000 }),
  /** Height of its foot, m. */
  base: Metres,
  /** From the foot to the eaves, m. */
  height: Size,
  storeys: Type.Optional(Type.Integer({ minimum: 1, maximum: 300 })),
  /** Upper parts, each so far inside the one below and so high, m. */
  setbacks: Type.Optional(Type.Array(strict({ inset: Size, height: Size }), { maxItems: 12 })),
  /** `rise` is what the roof adds to the height, or the parapet of a flat one; `turned` runs its ridge across. */
  roof: strict({ kind: Type.Unsafe<RoofKind>({ type: "string", enum: Object.keys(ROOFS) }), rise: Type.Optional(Size), turned: Type.Optional(Type.Boolean()) }),
  /** Stacks through the roof: their middle on the plan, their side, and how far they rise over the eaves, m. */
  chimneys: Type.Optional(Type.Array(strict({ x: Metres, y: Metres, side: Size, rise: Size }), { maxItems: 40 })),
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
  path: Type.Array(Point2(Metres), { minItems: 2, maxItems: 2000 }),
  /** Width of the carriageway, and of each pavement, m. */
  carriageway: Size,
  pavement: Type.Number({ minimum: 0, maximum: 1000 }),
  /** Height of the kerb, m. */
  kerb: Type.Number({ minimum: 0, maximum: 10 }),
  /** Joints of the pavement's slabs stand so far apart, m. */
  slabs: Type.Optional(Size),
  /** Dashes of the middle line and the gaps between them, m. */
  dashes: Type.Optional(strict({ line: Size, gap: Size })),
  /** Tram rails along the middle. */
  rails: Type.Optional(Type.Boolean()),
  /** Where people cross, m along the path: stripes, which stop the dashes. */
  crossings: Type.Optional(Type.Array(Type.Number({ minimum: 0, maximum: 1e6 }), { maxItems: 200 })),
  ...Flags,
});
export type Street = Static<typeof StreetSchema>;

const Storeys = Type.Integer({ minimum: 1, maximum: 100 });

/** A street side that is built up by rule: to the right of who walks from its one end to the other. */
export const RowSchema = strict({
  id: Id,
  name: Type.String({ maxLength: 200 }),
  from: Point2(Metres),
  to: Point2(Metres),
  seed: Type.Integer({ minimum: 0, maximum: 4294967295 }),
  /** Fronts are so wide and lots so deep, m; houses have so many storeys of so many m; so many of a hundred gaps are alleys. */
  fronts: strict({ least: Size, most: Size }),
  depth: Size,
  storeys: strict({ least: Storeys, most: Storeys }),
  storey: Size,
  alleys: Type.Number({ minimum: 0, maximum: 100 }),
  roofs: Type.Array(Type.Unsafe<RoofKind>({ type: "string", enum: Object.keys(ROOFS) }), { minItems: 1, maxItems: 30 }),
});
export type Row = Static<typeof RowSchema>;

/** A flight of steps, or with `ramp` a ramp: from the middle of its foot up along a heading, `count` risers of `riser` m over treads of `tread` m. */
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

/** The schema of every kind of element; what is built of them is in `KINDS`. Apart, so that a page that only draws need not load them. */
export const SCHEMAS = { block: BlockSchema, building: BuildingSchema, street: StreetSchema, steps: StepsSchema } as const;

export type Element = Block | Building | Street | Steps;
