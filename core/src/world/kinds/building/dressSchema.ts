import type { Static } from "@sinclair/typebox";
import { named, offered, Size, strict, Type } from "../../../fields";

/** What walls are made of: how long and high a piece is with its joint, m, and how its courses are laid. */
export const PATTERNS = {
  // EN 771-1 (from memory): 215 x 102.5 x 65 mm, with joints of 10 mm.
  stretcher: { label: "Brick, stretcher bond", long: 0.225, high: 0.075 },
  english: { label: "Brick, English bond", long: 0.225, high: 0.075 },
  flemish: { label: "Brick, Flemish bond", long: 0.225, high: 0.075 },
  // Common practice.
  stone: { label: "Stone in courses", long: 0.6, high: 0.3 },
  boards: { label: "Boards", long: Infinity, high: 0.15 },
} as const;
export type PatternId = keyof typeof PATTERNS;

/** How all walls of a building are dressed: bands in their height, m. */
export const DressSchema = strict({
  plinth: Type.Optional(named("Height of the plinth", offered(0.1, 3, Size))),
  /** A band under each upper storey. */
  courses: Type.Optional(named("Height of the string courses", offered(0.05, 1, Size))),
  cornice: Type.Optional(named("Height of the cornice", offered(0.05, 2, Size))),
  /** How far all bands stand out of the walls; where nothing is said, they are drawn on them. */
  out: Type.Optional(named("Bands stand out by", offered(0.02, 0.5, Size))),
  /** Between the bays of fronts, from the plinth to the cornice. */
  pilasters: Type.Optional(named("Width of the pilasters", offered(0.1, 2, Size))),
  quoins: Type.Optional(Type.Boolean()),
  pattern: Type.Optional(
    named("Made of", Type.Unsafe<PatternId>({ type: "string", enum: Object.keys(PATTERNS) as PatternId[] })),
  ),
  /** Only beside the corners and the openings, as a hint. */
  hint: Type.Optional(Type.Boolean()),
});
export type Dress = Static<typeof DressSchema>;
