import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, named, offered, PlaceOrPath, Size, strict, Type } from "../../../fields";
import { Curved } from "../kind";

/** What stands along streets: how high each usually is, and how far apart along a line, m (common practice). */
export const STREET_THINGS = {
  lamp: { label: "Street lamp", height: 6, every: 25 },
  lantern: { label: "Lantern on a post", height: 3.6, every: 20 },
  pole: { label: "Pole with wires", height: 8, every: 40, wires: 4 },
  mast: { label: "Tram mast", height: 7.5, every: 30, wires: 1 },
  sign: { label: "Sign on a post", height: 2.6, every: 50 },
  bollard: { label: "Bollard", height: 0.9, every: 1.5 },
  quay: { label: "Quay bollard", height: 0.6, every: 15 },
  hydrant: { label: "Hydrant", height: 0.75, every: 60 },
  bin: { label: "Bin", height: 1, every: 40 },
  kiosk: { label: "Kiosk", height: 2.9, every: 10 },
  stall: { label: "Market stall", height: 2.4, every: 3.5 },
  shelter: { label: "Shelter", height: 2.5, every: 60 },
  ladder: { label: "Leaning ladder", height: 4, every: 20 },
  quayLadder: { label: "Ladder down a quay", height: 3, every: 30 },
} as const;
export type StreetThing = keyof typeof STREET_THINGS;

/** A thing that stands in a street, or several along a line, with wires from each to the next. */
export const StreetFurnitureSchema = strict({
  id: Id,
  kind: Type.Literal("street-furniture"),
  name: Type.String({ maxLength: 200 }),
  thing: Type.Unsafe<StreetThing>({ type: "string", enum: Object.keys(STREET_THINGS) }),
  path: PlaceOrPath,
  ...Curved,
  every: named("One every", offered(0.5, 100, Size)),
  height: named("Height", offered(0.2, 40, Size)),
  /** One that stands alone faces along this; along a line they face to its right. */
  heading: named("Faces along the heading", Heading),
  /** So many wires run from each to the next, and hang through by so much in the middle, m. */
  wires: Type.Optional(named("Wires", Type.Integer({ minimum: 0, maximum: 4 }))),
  sag: Type.Optional(named("Wires hang through by", offered(0.05, 10, Size))),
  ...Flags,
});

export type StreetFurniture = Static<typeof StreetFurnitureSchema>;
