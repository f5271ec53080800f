import type { Static } from "@sinclair/typebox";
import { Flags, Footprint, Heading, Id, named, Raised, Size, strict, Type } from "../../../fields";

/** What the surface of an open place is. */
export const SURFACES = ["paving", "lawn"] as const;
export type Surface = (typeof SURFACES)[number];

/** How slabs are laid, as it is called. */
export const LAID = {
  square: "Square, joints in line",
  courses: "Square, in courses",
  bricks: "Twice as long, in courses",
  herringbone: "Twice as long, in a herringbone",
} as const;
export type Laid = keyof typeof LAID;

/** No place has more slabs drawn than these. */
export const MAX_SLABS = 60_000;

/** An open place: paved, with the joints of its slabs along a heading and across, or a lawn; raised by its kerb. */
export const SquareSchema = strict({
  id: Id,
  kind: Type.Literal("square"),
  name: Type.String({ maxLength: 200 }),
  footprint: Footprint,
  /** Paving where nothing is said. */
  surface: Type.Optional(Type.Unsafe<Surface>({ type: "string", enum: [...SURFACES] })),
  kerb: named("Kerb", Raised),
  slabs: Type.Optional(named("Joints every", Size)),
  /** How slabs are laid: square where nothing is said. */
  laid: Type.Optional(Type.Unsafe<Laid>({ type: "string", enum: Object.keys(LAID) })),
  heading: named("Joints along the heading", Heading),
  ...Flags,
});

export type Square = Static<typeof SquareSchema>;
