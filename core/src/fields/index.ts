import type { NumberOptions, TProperties, TSchema } from "@sinclair/typebox";
import { Type } from "./type";

export { Type };

/** An object that takes no other keys than its own, and any key that begins with `x-`. */
export function strict<T extends TProperties>(properties: T) {
  return Type.Object(properties, { additionalProperties: false, patternProperties: { "^x-": {} } });
}

export const Id = Type.String({ minLength: 1, maxLength: 100 });

/** A number of metres in the world within some limits: `unit` tells it from other numbers. */
export const metresIn = (limits: NumberOptions) => Type.Number({ ...limits, unit: "m" });

/** A number of millimetres on the desk within some limits. */
export const millimetresIn = (limits: NumberOptions) => Type.Number({ ...limits, unit: "mm" });

/** A number of degrees within some limits. */
export const degreesIn = (limits: NumberOptions) => Type.Number({ ...limits, unit: "°" });

/**
 * A number with narrower limits for whoever types it than for what a file may hold: null where there is none of its
 * own.
 */
export const offered = <T extends TSchema>(from: number | null, to: number | null, of: T): T => ({
  ...of,
  offered: [from, to],
});

/** What a person calls a field. */
export const named = <T extends TSchema>(title: string, of: T): T => ({ ...of, title });

/** A place in the world, in metres: within a thousand kilometres of the origin. */
export const Metres = metresIn({ minimum: -1e6, maximum: 1e6 });

/** A length of a thing, in metres. */
export const Size = metresIn({ exclusiveMinimum: 0, maximum: 1e5 });

/** A height over a lower edge, or nothing, in metres. */
export const Raised = metresIn({ minimum: 0, maximum: 100 });

/** A place on a path, in metres from its beginning. */
export const Along = metresIn({ minimum: 0, maximum: 1e6 });

/** Degrees clockwise from north; any number of turns: `turns` tells it from other angles. */
export const Heading = Type.Number({ minimum: -36000, maximum: 36000, unit: "°", turns: true });

export const Point2 = <T extends TSchema>(of: T) => strict({ x: of, y: of });
const OnPlan = { x: named("East of the origin", Metres), y: named("North of the origin", Metres) };
/** How high over the ground a thing stands, m: `elevation` tells it from sizes, which are no places. */
export const Elevation = (foot: string) => named(foot, metresIn({ minimum: -1e6, maximum: 1e6, elevation: true }));
/** A place of the world where a thing stands. */
export const Standing = (foot: string) => strict({ ...OnPlan, z: Elevation(foot) });
export const Point3 = <T extends TSchema>(of: T) => strict({ x: of, y: of, z: of });

/**
 * What every element may carry: left out of all pictures for now, kept from being moved, the group that it is one of,
 * and the part of a kit that it was put down as, in one of its instances.
 */
export const Flags = {
  hidden: Type.Optional(Type.Boolean()),
  locked: Type.Optional(Type.Boolean()),
  group: Type.Optional(Type.String({ minLength: 1, maxLength: 200 })),
  kit: Type.Optional(strict({ id: Id, instance: Id, part: Id })),
};

/** Corners of an area on the plan, m; and the bends of a line on it. */
export const Footprint = Type.Array(strict(OnPlan), { minItems: 3, maxItems: 12_000 });
export const Path = Type.Array(strict(OnPlan), { minItems: 2, maxItems: 2000 });

/** One place on the plan, or the bends of a line along which several of a kind stand, m. */
export const PlaceOrPath = Type.Array(strict(OnPlan), { minItems: 1, maxItems: 2000 });

export * from "./measure";
