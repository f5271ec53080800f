import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, metresIn, named, offered, Size, Standing, strict, Type } from "../../../fields";

/** How an arch runs from one springing to the other. */
export const ARCHES = {
  round: "Round",
  segmental: "Segmental",
  pointed: "Pointed",
  basket: "Basket, of three centres",
  horseshoe: "Horseshoe",
} as const;
export type ArchForm = keyof typeof ARCHES;

/**
 * A wall with arches through it, which faces along its heading: an arcade, an arched bridge or viaduct; as thick as it
 * is long, a tunnel or a barrel vault. `at` is the middle of its foot, below its front.
 */
export const ArchesSchema = strict({
  id: Id,
  kind: Type.Literal("arches"),
  name: Type.String({ maxLength: 200 }),
  arch: Type.Unsafe<ArchForm>({ type: "string", enum: Object.keys(ARCHES) }),
  at: Standing("Foot over the ground"),
  heading: named("Faces along the heading", Heading),
  count: named("Arches", offered(1, 100, Type.Integer({ minimum: 1, maximum: 500 }))),
  span: named("Span", Size),
  pier: named("Pier", Size),
  springing: named("Springing height", Size),
  /** The rise of a segmental or a basket arch over its springing, m. */
  rise: Type.Optional(named("Rise", Size)),
  height: named("Height", Size),
  thickness: named("Thickness", Size),
  /** So many bays deep under groin vaults, on square piers, in place of its thickness. */
  vaults: Type.Optional(named("Bays deep", offered(1, 12, Type.Integer({ minimum: 1, maximum: 50 })))),
  /** How deep the stones of the arches are, m; none are drawn where nothing is said. */
  voussoirs: Type.Optional(named("Voussoirs", metresIn({ minimum: 0, maximum: 100, default: 0 }))),
  keystone: Type.Optional(Type.Boolean()),
  /** How far imposts stand out at the springing, m. */
  imposts: Type.Optional(named("Imposts", metresIn({ minimum: 0, maximum: 10, default: 0 }))),
  ...Flags,
});

export type Arches = Static<typeof ArchesSchema>;
