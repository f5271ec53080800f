import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, named, offered, Size, Standing, strict, Type } from "../../../fields";

/** How stairs run on the plan, and what each is called. */
export const STAIRS = {
  straight: "Straight",
  quarter: "Quarter turn",
  half: "Half turn",
  spiral: "Spiral",
} as const;
export type StairPlan = keyof typeof STAIRS;

/**
 * Steps, or with `ramp` a ramp: from the middle of its foot up along a heading, `count` risers of `riser` m over treads
 * of `tread` m; on a spiral, a tread is measured in the middle of the width.
 */
export const StepsSchema = strict({
  id: Id,
  kind: Type.Literal("steps"),
  name: Type.String({ maxLength: 200 }),
  foot: Standing("Foot over the ground"),
  heading: named("Up along the heading", Heading),
  width: named("Width", Size),
  count: named("Risers", Type.Integer({ minimum: 1, maximum: 500 })),
  riser: named("Riser", Size),
  tread: named("Tread", Size),
  ramp: Type.Optional(Type.Boolean()),
  plan: Type.Optional(Type.Unsafe<StairPlan>({ type: "string", enum: Object.keys(STAIRS) })),
  /** They turn to the left; where nothing is said, to the right. */
  left: Type.Optional(Type.Boolean()),
  /** A landing so many risers up, as deep as the stairs are wide; those that turn have one halfway. */
  landing: Type.Optional(named("Risers up to the landing", Type.Integer({ minimum: 1, maximum: 499 }))),
  /** The radius around which a spiral turns. */
  eye: Type.Optional(named("Radius of its eye", offered(0.05, 20, Size))),
  /** Treads that hang free, and not on a solid. */
  open: Type.Optional(Type.Boolean()),
  /** Walls beside straight steps, up with them. */
  cheeks: Type.Optional(Type.Boolean()),
  rails: Type.Optional(Type.Boolean()),
  ...Flags,
});

export type Steps = Static<typeof StepsSchema>;
