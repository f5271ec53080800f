import type { Static, TProperties } from "@sinclair/typebox";
import { FITS } from "../rhythm";
import { degreesIn, Heading, Id, Metres, named, offered, Point3, strict, Type } from "../fields";

/** The pens of own lines, by name: widths in mm (ISO 128-2 (from memory)). */
export const WEIGHTS = { light: 0.18, medium: 0.35, heavy: 0.7 } as const;
export type Weight = keyof typeof WEIGHTS;

/** How a division is drawn by hand; each finds the same places as arithmetic does. */
export const SCHOOLS = ["arithmetic", "diagonals", "marks"] as const;
export type School = (typeof SCHOOLS)[number];

const oneOf = <T extends string>(words: readonly T[]) => Type.Unsafe<T>({ type: "string", enum: [...words] });

/**
 * A plane of the world that is drawn on: x runs level from its origin along a heading, y at `tilt` degrees over the
 * level, to the left of x where it lies flat (0), straight up where it stands (90). One sees its front from the right
 * of x where it stands, and from above where it lies.
 */
export const PlaneSchema = strict({
  /** What it is the plane of. */
  name: Type.String({ maxLength: 200 }),
  origin: Point3(Metres),
  heading: named("Heading", Heading),
  tilt: named("Tilt", degreesIn({ minimum: 0, maximum: 180 })),
});
export type OwnPlane = Static<typeof PlaneSchema>;

/** Mm on a sheet, m on a plane. */
const Coordinate = Type.Number({ minimum: -1e7, maximum: 1e7 });
const Place = Type.Tuple([Coordinate, Coordinate]);
const Length = Type.Number({ exclusiveMinimum: 0, maximum: 1e7 });
const Angle = degreesIn({ minimum: -360, maximum: 360 });

/** A stroke holds at most so many samples. */
export const MAX_SAMPLES = 20_000;

/** Parts as one types them. */
const Typed = Type.String({ minLength: 1, maxLength: 1000 });

/** A quadrilateral taken for the picture of a rectangle, divided and repeated: on a sheet (mm), or on a photo (px). */
const DIVIDED_QUAD = {
  corners: Type.Tuple([Place, Place, Place, Place]),
  columns: named("Columns", Typed),
  rows: Type.Optional(named("Rows", Typed)),
  before: Type.Optional(named("Repeats before", Type.Integer({ minimum: 0, maximum: 100 }))),
  after: Type.Optional(named("Repeats after", Type.Integer({ minimum: 0, maximum: 100 }))),
  school: Type.Optional(oneOf(SCHOOLS)),
};
export const DividedQuadSchema = strict({ id: Id, ...DIVIDED_QUAD });
/** A divided quadrilateral, wherever it lies. */
export type DividedQuad = Static<typeof DividedQuadSchema>;

/** The kinds of own lines, with what else each of them carries. */
const kinds = <T extends TProperties>(more: T) => {
  const kind = <K extends string, P extends TProperties>(id: K, own: P) =>
    strict({
      id: Id,
      kind: Type.Literal(id),
      weight: oneOf(Object.keys(WEIGHTS) as Weight[]),
      ...own,
      ...more,
    });
  return {
    /** A line along a ruler. */
    ruled: kind("ruled", { from: Place, to: Place }),
    /** A freehand line: x y and the pen's pressure (0 to 1) of each sample. */
    stroke: kind("stroke", {
      samples: Type.Array(Coordinate, { minItems: 3, maxItems: 3 * MAX_SAMPLES }),
    }),
    /** Straight lines from corner to corner. */
    polyline: kind("polyline", {
      points: Type.Array(Place, { minItems: 2, maxItems: 2000 }),
      closed: Type.Optional(Type.Boolean()),
    }),
    /** A circle, or an arc of it: from an angle, degrees from x towards y, over so many degrees. */
    circle: kind("circle", {
      centre: Place,
      radius: Length,
      arc: Type.Optional(strict({ from: Angle, over: Angle })),
    }),
    /** Equal steps, or a rhythm, along a line: on a sheet towards the pin that it runs to. */
    spacing: kind("spacing", {
      from: Place,
      to: Place,
      parts: named("Parts", Typed),
      fit: Type.Optional(oneOf(FITS)),
      /** How long it is in the parts' own unit, where that is not told by the plane. */
      length: Type.Optional(offered(0.001, 1e6, named("Length", Length))),
      /** How far its marks reach to either side, mm or m. */
      reach: Type.Optional(Length),
      towards: Type.Optional(Id),
    }),
    /** A quadrilateral, divided and repeated. */
    quad: kind("quad", DIVIDED_QUAD),
  };
};

const anyOf = <T>(schemas: readonly unknown[]) =>
  Type.Unsafe<T>({ type: "object", discriminator: { propertyName: "kind" }, required: ["kind"], oneOf: schemas });

const onSheet = kinds({});
/** A quadrilateral whose world is unknown lies on a sheet alone. */
const { quad: _, ...onPlane } = kinds({ plane: PlaneSchema });

type Of<T extends Record<string, Parameters<typeof Type.Array>[0]>> = { [K in keyof T]: Static<T[K]> }[keyof T];

/** A line of one's own on a sheet, in mm of the desk. */
export type SheetLine = Of<typeof onSheet>;
/** A line of one's own on a plane of the world, in m of the plane. */
export type WorldLine = Of<typeof onPlane>;
export type OwnLine = SheetLine | WorldLine;

export const SheetLineSchema = anyOf<SheetLine>(Object.values(onSheet));
export const WorldLineSchema = anyOf<WorldLine>(Object.values(onPlane));

/** A sheet, and a world, hold at most so many own lines. */
export const MAX_LINES = 5000;
