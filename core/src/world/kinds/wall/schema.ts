import type { Static } from "@sinclair/typebox";
import { Along, Flags, Id, named, offered, Path, Size, strict, Type } from "../../../fields";
import { Curved } from "../kind";

/** What stands along a boundary. */
export const BOUNDARIES = ["wall", "hedge", "fence", "railing"] as const;
export type Boundary = (typeof BOUNDARIES)[number];

/** A wall, a hedge, a fence or a railing along a path, with gates. */
export const WallSchema = strict({
  id: Id,
  kind: Type.Literal("wall"),
  name: Type.String({ maxLength: 200 }),
  path: Path,
  ...Curved,
  /** A wall where nothing is said. */
  of: Type.Optional(Type.Unsafe<Boundary>({ type: "string", enum: [...BOUNDARIES] })),
  height: named("Height", offered(0.1, 30, Size)),
  thickness: named("Thickness", offered(0.02, 10, Size)),
  /** Bars of a railing, or boards of a fence, stand so far apart, m. */
  bars: Type.Optional(named("Bars or boards every", offered(0.05, 10, Size))),
  /** Where one walks through: m along the path, and how wide. */
  gates: Type.Optional(
    Type.Array(strict({ at: named("Along the wall", Along), width: named("Width", Size) }), { maxItems: 200 }),
  ),
  /** The row that it was laid in by rule. */
  row: Type.Optional(Id),
  ...Flags,
});

export type Wall = Static<typeof WallSchema>;
