import type { Static } from "@sinclair/typebox";
import { Flags, Id, named, Path, Size, strict, Type } from "../../../fields";

const Seed = Type.Integer({ minimum: 0, maximum: 4294967295 });

/**
 * What closes a view far away: rows of plain blocks, or ridges of hills, one behind the other to the right of who
 * walks its path.
 */
export const SkylineSchema = strict({
  id: Id,
  kind: Type.Literal("skyline"),
  name: Type.String({ maxLength: 200 }),
  path: Path,
  of: Type.Unsafe<"blocks" | "ridges">({ type: "string", enum: ["blocks", "ridges"] }),
  rows: named("Rows", Type.Integer({ minimum: 1, maximum: 12 })),
  /** From one row to the next, m. */
  behind: named("From row to row", Size),
  /** Blocks or hills are so wide and so high, m; rows behind are higher by what is between. */
  widths: strict({ least: named("Widths from", Size), most: named("Widths to", Size) }),
  heights: strict({ least: named("Heights from", Size), most: named("Heights to", Size) }),
  seed: named("Seed", Seed),
  ...Flags,
});

export type Skyline = Static<typeof SkylineSchema>;
