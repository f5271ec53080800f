import type { Static } from "@sinclair/typebox";
import { degreesIn, Flags, Heading, Id, metresIn, named, offered, Size, Standing, strict, Type } from "../../../fields";

/**
 * Orders of columns: how many of their lower diameters they are high (Vignola's figures, from memory), how much of it
 * their upper one is, and their flutes. A post and a pier are plain.
 */
export const ORDERS = {
  tuscan: { label: "Tuscan", slender: 7, upper: 0.8, flutes: 0 },
  doric: { label: "Doric", slender: 8, upper: 5 / 6, flutes: 20 },
  ionic: { label: "Ionic", slender: 9, upper: 5 / 6, flutes: 24 },
  corinthian: { label: "Corinthian", slender: 10, upper: 5 / 6, flutes: 24 },
  composite: { label: "Composite", slender: 10, upper: 5 / 6, flutes: 24 },
  post: { label: "Plain post", slender: 12, upper: 1, flutes: 0 },
  pier: { label: "Square pier", slender: 6, upper: 1, flutes: 0 },
} as const;
export type OrderId = keyof typeof ORDERS;

/** How columns stand: one, in a row, or around a middle. */
export const STANDS = ["single", "row", "ring"] as const;

/** Gaps between columns, in lower diameters (Vitruvius's five kinds of temple, from memory). */
export const GAPS = [
  [1.5, "pycnostyle"],
  [2, "systyle"],
  [2.25, "eustyle"],
  [3, "diastyle"],
  [4, "araeostyle"],
] as const;

/**
 * Columns of an order: one, a row square to the heading that it faces, or a ring around a middle, or a part of one.
 * They may carry an entablature, a pediment with a roof, and stand on steps.
 */
export const ColumnsSchema = strict({
  id: Id,
  kind: Type.Literal("columns"),
  name: Type.String({ maxLength: 200 }),
  order: Type.Unsafe<OrderId>({ type: "string", enum: Object.keys(ORDERS) }),
  stand: Type.Unsafe<(typeof STANDS)[number]>({ type: "string", enum: [...STANDS] }),
  at: Standing("Foot over the ground"),
  heading: named("Faces along the heading", Heading),
  /** Of a column, from its plinth to its abacus, m: its lower diameter follows from its order. */
  height: named("Height of a column", Size),
  count: named("Columns", offered(1, 200, Type.Integer({ minimum: 1, maximum: 1000 }))),
  /** Between the shafts of a row, in lower diameters. */
  gap: Type.Optional(
    named("Gap in diameters", offered(0.5, 12, Type.Number({ minimum: 0, maximum: 1000, default: 2.25 }))),
  ),
  /** How much wider the middle gap of a row of an even number is. */
  middle: Type.Optional(
    named("Middle gap wider by", offered(1, 3, Type.Number({ minimum: 1, maximum: 100, default: 1 }))),
  ),
  /** Of a ring, from its middle to the axes of its columns, m. */
  radius: Type.Optional(named("Radius of the ring", Size)),
  /** Of a ring, how much of it has columns; all of it where nothing is said. */
  through: Type.Optional(named("Through", offered(10, 360, degreesIn({ exclusiveMinimum: 0, maximum: 360 })))),
  /** Half columns, which stand out of a wall behind them. */
  half: Type.Optional(Type.Boolean()),
  /** A quarter of a column, in the corner between two walls. */
  quarter: Type.Optional(Type.Boolean()),
  entablature: Type.Optional(Type.Boolean()),
  /** The rise of a pediment over a row, as a part of its width: from a ninth to a quarter. */
  pediment: Type.Optional(
    named("Pediment's rise by width", offered(1 / 9, 1 / 4, Type.Number({ minimum: 0.02, maximum: 1 }))),
  ),
  /** How far what a row carries reaches back, m: to the wall that it stands before. */
  depth: Type.Optional(named("Reaches back", metresIn({ minimum: 0, maximum: 1e4, default: 0 }))),
  /** How far the roof behind a pediment runs on from there, m: into the roof of the building behind it. */
  ridge: Type.Optional(named("Its roof runs on by", metresIn({ minimum: 0, maximum: 1e4, default: 0 }))),
  steps: Type.Optional(named("Steps under it", offered(0, 30, Type.Integer({ minimum: 0, maximum: 200, default: 0 })))),
  ...Flags,
});

export type Columns = Static<typeof ColumnsSchema>;
