import type { Static } from "@sinclair/typebox";
import { degreesIn, Heading, Id, named, offered, Standing, strict, Type } from "../fields";

/** What is said of every light: a name, and whether it is out. */
const Common = {
  id: Id,
  name: Type.Optional(Type.String({ maxLength: 200 })),
  off: Type.Optional(Type.Boolean()),
};

/** A sun, whose rays are parallel: the heading where it stands, and its angle over the horizon, degrees. */
export const SunSchema = strict({
  ...Common,
  kind: Type.Literal("sun"),
  heading: named("Stands at the heading", offered(-360, 360, Heading)),
  height: named("Over the horizon", offered(1, 90, degreesIn({ exclusiveMinimum: 0, maximum: 90 }))),
});

/** A lamp at a place of the world, m. */
export const LampSchema = strict({ ...Common, kind: Type.Literal("lamp"), at: Standing("Over the ground") });

/** A covered sky, whose light comes from all of it alike: it tells planes apart, and casts no shadows. */
export const OvercastSchema = strict({ ...Common, kind: Type.Literal("overcast") });

export type Sun = Static<typeof SunSchema>;
export type Lamp = Static<typeof LampSchema>;
export type Overcast = Static<typeof OvercastSchema>;
export type Light = Sun | Lamp | Overcast;
/** A light whose rays are cut off by what stands in their way. */
export type Caster = Sun | Lamp;

/** Any kind of light, told apart by its `kind`. */
export const LightSchema = Type.Unsafe<Light>({
  type: "object",
  discriminator: { propertyName: "kind" },
  required: ["kind"],
  oneOf: [SunSchema, LampSchema, OvercastSchema],
});

/** No scene has more lights. */
export const MAX_LIGHTS = 20;
