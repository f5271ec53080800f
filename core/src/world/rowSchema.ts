import type { Static } from "@sinclair/typebox";
import { Footprint, Id, Metres, named, offered, Point2, Size, strict, Type } from "../fields";
import { BOUNDARIES, type Boundary } from "./kinds/wall/schema";
import { ROOFS, type RoofKind } from "./kinds/building/roofs";

const Roof = Type.Unsafe<RoofKind>({ type: "string", enum: Object.keys(ROOFS) });
const Bounded = Type.Unsafe<Boundary>({ type: "string", enum: [...BOUNDARIES] });
const Seed = Type.Integer({ minimum: 0, maximum: 4294967295 });
const LotSize = offered(0.5, 1000, Size);
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
  seed: named("Seed", Seed),
  /**
   * Fronts are so wide and lots so deep, m; houses have so many storeys of so many m; so many of a hundred gaps are
   * alleys.
   */
  fronts: strict({ least: named("Fronts from", LotSize), most: named("Fronts to", LotSize) }),
  depth: named("Depth of the lots", LotSize),
  storeys: strict({ least: named("Storeys from", Storeys), most: named("Storeys to", Storeys) }),
  storey: Size,
  alleys: named("Alleys of 100 gaps", Type.Number({ minimum: 0, maximum: 100 })),
  roofs: Type.Array(Roof, { minItems: 1, maxItems: 30 }),
  /** Houses at its ends, or at the corners of a lot, are so many storeys higher, under a roof of their own. */
  towers: Type.Optional(
    strict({ storeys: named("Storeys more", Type.Integer({ minimum: 0, maximum: 50 })), roof: Roof }),
  ),
  /** Houses stand back from the line by a forecourt so deep, m, behind a wall, a hedge, a fence or a railing. */
  front: Type.Optional(strict({ depth: named("Depth of the forecourts", LotSize), of: Bounded })),
  /** Behind each house lies a yard so deep, m, within the same. */
  yards: Type.Optional(strict({ depth: named("Depth of the yards", LotSize), of: Bounded })),
  /** Houses have fronts of their own by the seed, and so many of a hundred have shops on the ground. */
  fitted: Type.Optional(strict({ shops: named("Shops of 100 houses", Type.Number({ minimum: 0, maximum: 100 })) })),
  /** Of a hundred houses, so many are of one of these kits, or have the front of one of them. */
  kits: Type.Optional(
    strict({
      ids: Type.Array(Id, { minItems: 1, maxItems: 100 }),
      share: named("From kits, of 100 houses", Type.Number({ minimum: 0, maximum: 100 })),
    }),
  ),
  /** Without windows and doors. */
  blind: Type.Optional(Type.Boolean()),
});

export type Row = Static<typeof RowSchema>;
