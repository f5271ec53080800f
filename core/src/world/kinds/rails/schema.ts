import type { Static } from "@sinclair/typebox";
import { Flags, Id, metresIn, named, offered, Path, strict, Type } from "../../../fields";
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
  ...Flags,
});

export type Rails = Static<typeof RailsSchema>;
