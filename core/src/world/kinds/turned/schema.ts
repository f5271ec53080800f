import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, named, offered, Size, Standing, strict, Type, degreesIn, metresIn } from "../../../fields";

/**
 * What can be turned about an upright axis, and how large it is at first, m: its radius, its height, and the radius at
 * its top, where it has one.
 */
export const TURNED = {
  cylinder: { label: "Cylinder", radius: 2, height: 4 },
  cone: { label: "Cone", radius: 2, height: 4 },
  frustum: { label: "Frustum", radius: 2, height: 4, top: 1.2 },
  ball: { label: "Ball", radius: 1, height: 2 },
  dome: { label: "Dome", radius: 5, height: 5 },
  ring: { label: "Ring", radius: 3, height: 0.4 },
  baluster: { label: "Baluster", radius: 0.09, height: 0.75 },
  vase: { label: "Vase", radius: 0.4, height: 0.9 },
  tank: { label: "Tank", radius: 3, height: 5 },
  chimney: { label: "Works chimney", radius: 1.6, height: 28, top: 0.9 },
  lighthouse: { label: "Lighthouse", radius: 3.2, height: 24, top: 1.9 },
  own: { label: "Own outline", radius: 1, height: 2 },
} as const satisfies Record<string, { label: string; radius: number; height: number; top?: number }>;
export type TurnedForm = keyof typeof TURNED;

/**
 * Something round about an upright axis through `at`, which is its foot: a usual form by its sizes, or a half outline
 * of its own. It goes all the way around, or through an angle from its heading on, clockwise as headings do.
 */
export const TurnedSchema = strict({
  id: Id,
  kind: Type.Literal("turned"),
  name: Type.String({ maxLength: 200 }),
  form: Type.Unsafe<TurnedForm>({ type: "string", enum: Object.keys(TURNED) }),
  at: Standing("Foot over the ground"),
  heading: named("Begins at the heading", Heading),
  radius: named("Radius", Size),
  height: named("Height", Size),
  /** The radius at its top, where it narrows, m. */
  top: Type.Optional(named("Radius at its top", Size)),
  /** How far it is turned, degrees; all the way around where nothing is said. */
  sweep: Type.Optional(named("Turned through", offered(5, 360, degreesIn({ exclusiveMinimum: 0, maximum: 360 })))),
  /** How many ribs a dome has. */
  ribs: Type.Optional(named("Ribs", offered(0, 64, Type.Integer({ minimum: 0, maximum: 200, default: 0 })))),
  /** How wide a lantern on a dome is, m: it is half as high again. */
  lantern: Type.Optional(named("Width of its lantern", metresIn({ minimum: 0, maximum: 1000, default: 0 }))),
  /**
   * A half outline of its own, from its foot up: distances from the axis and heights over the foot, m; what runs from
   * one place to the next is straight, or an arc by its bulge, the tangent of a quarter of its sweep, to the left.
   */
  outline: Type.Optional(
    Type.Array(
      strict({
        r: named("From the axis", metresIn({ minimum: 0, maximum: 1e4 })),
        z: named("Over its foot", metresIn({ minimum: -1e4, maximum: 1e4 })),
        bulge: Type.Optional(named("Bulge to the next", Type.Number({ minimum: -1, maximum: 1, default: 0 }))),
      }),
      { minItems: 2, maxItems: 100 },
    ),
  ),
  ...Flags,
});

export type TurnedThing = Static<typeof TurnedSchema>;
