import type { Static } from "@sinclair/typebox";
import { Flags, Footprint, Id, named, Raised, Size, strict, Type } from "../../../fields";

/** A dock, a pond or a pool: water on any outline between quay walls, around islands. */
export const BasinSchema = strict({
  id: Id,
  kind: Type.Literal("basin"),
  name: Type.String({ maxLength: 200 }),
  /** Corners of its quay on the plan, m, and of each island in it. */
  footprint: Footprint,
  islands: Type.Optional(Type.Array(Footprint, { maxItems: 100 })),
  /** Width of the quay walls, how far the water lies under the ground, and how far the walls rise over it, m. */
  quay: named("Quay walls", Size),
  depth: named("Water under the ground", Size),
  coping: named("Walls over the ground", Raised),
  ...Flags,
});

export type Basin = Static<typeof BasinSchema>;
