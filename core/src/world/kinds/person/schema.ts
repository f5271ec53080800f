import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, named, offered, Size, Standing, strict, Type } from "../../../fields";

/** What figures do. */
export const POSES = {
  standing: "Standing",
  walking: "Walking",
  running: "Running",
  sitting: "Sitting",
  leaning: "Leaning back",
  carrying: "Carrying a box",
} as const;
export type Pose = keyof typeof POSES;

/** What figures wear, as it changes their outline. */
export const WEARS = { trousers: "Trousers", coat: "A long coat", skirt: "A skirt" } as const;
export type Wear = keyof typeof WEARS;

/** How a figure is: what a crowd has of each, too. */
export const PersonLook = {
  pose: Type.Unsafe<Pose>({ type: "string", enum: Object.keys(POSES) }),
  wear: Type.Optional(Type.Unsafe<Wear>({ type: "string", enum: Object.keys(WEARS) })),
  heading: named("Faces along the heading", Heading),
  /** From the soles to the crown, standing straight, m. */
  height: named("Height", offered(0.5, 2.3, Size)),
  /** Of a child, in years: heads are larger beside the height the younger they are. Grown where nothing is said. */
  age: Type.Optional(named("Age", Type.Number({ minimum: 1, maximum: 17 }))),
};

/** A figure on its feet, or on a seat, its soles at the height of its place. */
export const PersonSchema = strict({
  id: Id,
  kind: Type.Literal("person"),
  name: Type.String({ maxLength: 200 }),
  at: Standing("Soles over the ground"),
  ...PersonLook,
  /** A box in place of the person, to be drawn into by hand. */
  box: Type.Optional(Type.Boolean()),
  ...Flags,
});

export type Person = Static<typeof PersonSchema>;
