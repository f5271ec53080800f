import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, named, Size, Standing, strict, Type } from "../../../fields";

/**
 * Furniture, and how large it is at first: from side to side, from front to back, and up to what counts of it, such as
 * the seat of a chair or the top of a table, m. A seat has 0.45, a table 0.73, a counter 0.90 m (common practice).
 */
export const FURNITURE = {
  chair: { label: "Chair", width: 0.45, depth: 0.48, height: 0.45 },
  table: { label: "Table", width: 1.4, depth: 0.8, height: 0.73 },
  counter: { label: "Counter", width: 2.4, depth: 0.65, height: 0.9 },
  bed: { label: "Bed", width: 0.95, depth: 2.05, height: 0.5 },
  shelf: { label: "Shelf", width: 1, depth: 0.32, height: 2 },
  bench: { label: "Bench", width: 1.6, depth: 0.4, height: 0.45 },
  carpet: { label: "Carpet", width: 2, depth: 3, height: 0.01 },
  picture: { label: "Picture", width: 0.8, depth: 0.03, height: 0.6 },
} as const;
export type FurnitureThing = keyof typeof FURNITURE;

/** A plain, measured thing to live with: it stands on `at`, the middle of its foot, and faces along its heading. */
export const FurnitureSchema = strict({
  id: Id,
  kind: Type.Literal("furniture"),
  name: Type.String({ maxLength: 200 }),
  thing: Type.Unsafe<FurnitureThing>({ type: "string", enum: Object.keys(FURNITURE) }),
  at: Standing("Foot over the ground"),
  heading: named("Faces along the heading", Heading),
  width: named("Side to side", Size),
  depth: named("Front to back", Size),
  height: named("Height", Size),
  ...Flags,
});

export type Furniture = Static<typeof FurnitureSchema>;
