import type { Static } from "@sinclair/typebox";
import { Flags, Id, named, Size, Standing, strict, Type } from "../../../fields";

/** What is in the sky: how wide each usually is, and how high over the ground, m (common practice). */
export const SKY_THINGS = {
  cloud: { label: "Cloud", size: 120, up: 400 },
  bank: { label: "Bank of clouds", size: 600, up: 500 },
  smoke: { label: "Smoke", size: 8, up: 0 },
  balloon: { label: "Balloon", size: 16, up: 60 },
  kite: { label: "Kite", size: 1.4, up: 30 },
  birds: { label: "Birds", size: 20, up: 25 },
  sun: { label: "Sun", size: 186, up: 5000 },
  moon: { label: "Moon", size: 181, up: 5000 },
} as const;
export type SkyThing = keyof typeof SKY_THINGS;

/** The sun and the moon stand so far away in the scene, m: there their size is half a degree, as it is seen. */
export const HEAVENLY = 20_000;
/** What stands in a direction rather than over a place of the ground. */
export const isHeavenly = (thing: SkyThing): boolean => thing === "sun" || thing === "moon";

/** Something in the sky, over its place; clouds lie flat on a level of their own, as they do. */
export const SkySchema = strict({
  id: Id,
  kind: Type.Literal("sky"),
  name: Type.String({ maxLength: 200 }),
  thing: Type.Unsafe<SkyThing>({ type: "string", enum: Object.keys(SKY_THINGS) }),
  at: Standing("Over the ground"),
  size: named("Size", Size),
  seed: Type.Integer({ minimum: 0, maximum: 4294967295 }),
  ...Flags,
});

export type Sky = Static<typeof SkySchema>;
