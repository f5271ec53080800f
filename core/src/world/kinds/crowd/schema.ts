import type { Static } from "@sinclair/typebox";
import { Flags, Footprint, Heading, Id, Metres, named, offered, Path, Size, strict, Type } from "../../../fields";
import { Curved } from "../kind";
import { PersonLook } from "../person";

/** Someone in a crowd: where their soles are on the plan, m, and how they are. */
const Someone = strict({
  x: Metres,
  y: Metres,
  ...PersonLook,
  /** Stays when the others are rolled again. */
  kept: Type.Optional(Type.Boolean()),
});
export type Someone = Static<typeof Someone>;

const Share = (label: string) => named(label, Type.Number({ minimum: 0, maximum: 100 }));

/** People in an area of the plan, or along a line: by what rule they are rolled, and those that were. */
export const CrowdSchema = strict({
  id: Id,
  kind: Type.Literal("crowd"),
  name: Type.String({ maxLength: 200 }),
  /** Where they are; along a line, the ground that it takes. */
  footprint: Footprint,
  /** The line that they walk along, within half of so much on each side, m. */
  line: Type.Optional(Path),
  ...Curved,
  wide: Type.Optional(named("Width of their way", offered(0.5, 50, Size))),
  number: named("People", offered(1, 500, Type.Integer({ minimum: 1, maximum: 2000 }))),
  /** Nobody stands nearer to another than this, from middle to middle, m. */
  spacing: named("At least apart", offered(0.4, 10, Size)),
  /** Of a hundred, so many are children, and so many walk; the others stand about. */
  children: Share("Children in a hundred"),
  walking: Share("Walking in a hundred"),
  /** They walk along this, one way or the other. */
  heading: named("Walk along the heading", Heading),
  seed: Type.Integer({ minimum: 0, maximum: 4294967295 }),
  people: Type.Array(Someone, { maxItems: 2000 }),
  ...Flags,
});

export type Crowd = Static<typeof CrowdSchema>;
