import type { Static } from "@sinclair/typebox";
import { Along, Flags, Id, metresIn, named, offered, Path, Size, strict, Type } from "../../../fields";
import { BEDS, GAUGE, type Bed } from "../../track";
import { Curved } from "../kind";

/** The track of a tramway or a railway along a path of its own. */
export const RailsSchema = strict({
  id: Id,
  kind: Type.Literal("rails"),
  name: Type.String({ maxLength: 200 }),
  path: Path,
  ...Curved,
  /** Between the inner sides of its rails, m. */
  gauge: Type.Optional(named("Gauge", offered(0.3, 3, metresIn({ exclusiveMinimum: 0, maximum: 10, default: GAUGE })))),
  /** What they lie on; in the paving where nothing is said. */
  bed: Type.Optional(Type.Unsafe<Bed>({ type: "string", enum: [...BEDS] })),
  /** Where another track leaves it: along an arc that touches it there, to its right where nothing is said. */
  points: Type.Optional(
    Type.Array(
      strict({
        at: named("Along the track", Along),
        radius: named("Radius of the branch", offered(10, 1000, Size)),
        long: named("Length of the branch", offered(2, 300, Size)),
        left: Type.Optional(Type.Boolean()),
        /** It leaves against the way in which the track is drawn. */
        back: Type.Optional(Type.Boolean()),
      }),
      { maxItems: 40 },
    ),
  ),
  ...Flags,
});

export type Rails = Static<typeof RailsSchema>;
export type Points = NonNullable<Rails["points"]>[number];
