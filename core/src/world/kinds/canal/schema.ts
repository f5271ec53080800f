import type { Static } from "@sinclair/typebox";
import { Along, Flags, Id, named, Path, Raised, Size, strict, Type } from "../../../fields";
import { Curved } from "../kind";

/** Water between two quay walls, along a path, with locks that let boats down. */
export const CanalSchema = strict({
  id: Id,
  kind: Type.Literal("canal"),
  name: Type.String({ maxLength: 200 }),
  path: Path,
  ...Curved,
  /** Of the water, and of the quay walls beside it, m. */
  width: named("Width of the water", Size),
  quay: named("Quay walls", Size),
  /** How far the water lies under the ground, and how far the walls rise over it, m. */
  depth: named("Water under the ground", Size),
  coping: named("Walls over the ground", Raised),
  /** Locks: where each begins, how long it is, and how far the water falls in it, m. */
  locks: Type.Optional(
    Type.Array(
      strict({
        at: named("Along the canal", Along),
        length: named("Length of its chamber", Size),
        fall: named("Fall of the water", Size),
      }),
      { maxItems: 50 },
    ),
  ),
  ...Flags,
});

export type Canal = Static<typeof CanalSchema>;
