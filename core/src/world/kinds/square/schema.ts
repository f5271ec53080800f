import type { Static } from "@sinclair/typebox";
import { Flags, Footprint, Heading, Id, named, Raised, Size, strict, Type } from "../../../fields";

/** What the surface of an open place is. */
export const SURFACES = ["paving", "lawn"] as const;
export type Surface = (typeof SURFACES)[number];

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
  heading: named("Joints along the heading", Heading),
  ...Flags,
});

export type Square = Static<typeof SquareSchema>;
