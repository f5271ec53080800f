import type { Static } from "@sinclair/typebox";
import { Flags, Id, named, offered, Path, Size, strict, Type } from "../../../fields";
import { Curved } from "../kind";

/** A platform beside a track, along a path of its own, with a canopy on posts along its middle where one is said. */
export const PlatformSchema = strict({
  id: Id,
  kind: Type.Literal("platform"),
  name: Type.String({ maxLength: 200 }),
  path: Path,
  ...Curved,
  width: named("Width", offered(1, 30, Size)),
  /** Over the ground, or over the upper side of the rails where those lie in it, m. */
  height: named("Height", offered(0.1, 2, Size)),
  canopy: Type.Optional(
    strict({
      clear: named("Clear under the canopy", offered(2, 12, Size)),
      width: named("Width of the canopy", offered(1, 30, Size)),
      every: named("A post every", offered(2, 40, Size)),
    }),
  ),
  ...Flags,
});

export type Platform = Static<typeof PlatformSchema>;
