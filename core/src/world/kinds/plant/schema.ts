import type { Static } from "@sinclair/typebox";
import { Flags, Id, metresIn, named, offered, PlaceOrPath, Size, strict, Type } from "../../../fields";
import { Curved } from "../kind";

/**
 * Habits of trees and bushes: how high and wide they usually are, and how high their trunk is clear, m (common
 * practice).
 */
export const HABITS = {
  round: { label: "Round tree", height: 9, spread: 6, clear: 2.4 },
  spreading: { label: "Spreading tree", height: 11, spread: 11, clear: 2.8 },
  column: { label: "Column, as a poplar", height: 14, spread: 3, clear: 1.2 },
  conifer: { label: "Conifer", height: 12, spread: 5, clear: 1 },
  bush: { label: "Bush", height: 1.4, spread: 1.8, clear: 0 },
} as const;
export type Habit = keyof typeof HABITS;

/** A tree or a bush, or a row of them along a line, each with a loose outline of its own by chance. */
export const PlantSchema = strict({
  id: Id,
  kind: Type.Literal("plant"),
  name: Type.String({ maxLength: 200 }),
  habit: Type.Unsafe<Habit>({ type: "string", enum: Object.keys(HABITS) }),
  path: PlaceOrPath,
  ...Curved,
  /** Along a line, how far apart they stand, m: street trees 6 to 10 (common practice). */
  every: named("One every", offered(0.5, 50, Size)),
  height: named("Height", Size),
  spread: named("Spread of its crown", Size),
  clear: named("Trunk clear up to", metresIn({ minimum: 0, maximum: 100 })),
  /** The chance that its outline follows. */
  seed: Type.Integer({ minimum: 0, maximum: 4294967295 }),
  ...Flags,
});

export type Plant = Static<typeof PlantSchema>;
