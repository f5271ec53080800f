import { Type, type Static } from "@sinclair/typebox";
import { LAWS, type LawId } from "../lens";
import { Heading, Id, KINDS, Metres, Point2, Point3, strict, type Element } from "../world";

export const FORMAT = "zanvo-scene";
export const VERSION = 1;

/** A place on the desk, in mm: pins may lie far off the sheet. */
const Millimetres = Type.Number({ minimum: -1e7, maximum: 1e7 });
const Side = Type.Number({ exclusiveMinimum: 0, maximum: 1e5 });
const Strength = Type.Number({ minimum: 0, maximum: 1 });
const RectSchema = strict({ x: Millimetres, y: Millimetres, width: Side, height: Side });

const OrientationSchema = strict({ id: Id, name: Type.String({ maxLength: 200 }), heading: Heading });

const LensSchema = strict({
  law: Type.Unsafe<LawId>({ type: "string", enum: Object.keys(LAWS) }),
  distance: Type.Number({ exclusiveMinimum: 0, maximum: 1e7 }),
  centre: Point2(Millimetres),
});

/** A loose bundle of one set of parallels: mm between lines at the panel's far corner, and strength of the line. */
const BundleSchema = strict({ pin: Id, spacing: Type.Number({ minimum: 0.8, maximum: 1000 }), strength: Strength });

/** Any kind of element, told apart by its `kind`. */
const ElementSchema = Type.Unsafe<Element>({
  type: "object",
  discriminator: { propertyName: "kind" },
  required: ["kind"],
  oneOf: Object.values(KINDS).map((kind) => kind.schema),
});

/** A plane measured out in squares of `every` metres, every `heavy`th line heavier. */
const MeasuredSchema = strict({
  plane: Type.Unsafe<"level" | "left" | "right">({ type: "string", enum: ["level", "left", "right"] }),
  at: Metres,
  every: Type.Number({ minimum: 0.01, maximum: 1e4 }),
  heavy: Type.Integer({ minimum: 1, maximum: 1000 }),
  strength: Strength,
});

/** How strongly each kind of line is shown; 0 leaves it out. */
const ShowSchema = strict({
  live: Strength, frame: Strength, horizon: Strength, bundles: Strength, buildings: Strength, hidden: Strength,
  /** Circles of the cone of vision. */
  cone: Type.Optional(Strength),
});

const ShotSchema = strict({
  id: Id,
  name: Type.String({ maxLength: 200 }),
  sheet: strict({
    width: Side,
    height: Side,
    /** The name of a standard paper, where it is one. */
    paper: Type.Optional(Type.String({ maxLength: 60 })),
    /** The live area of a comic board. */
    live: Type.Optional(RectSchema),
  }),
  frame: RectSchema,
  eye: Point3(Metres),
  gaze: strict({
    heading: Heading,
    pitch: Type.Number({ minimum: -90, maximum: 90 }),
    roll: Type.Number({ minimum: -360, maximum: 360 }),
  }),
  lens: LensSchema,
  bundles: Type.Optional(Type.Array(BundleSchema, { maxItems: 200 })),
  measured: Type.Optional(Type.Array(MeasuredSchema, { maxItems: 50 })),
  show: Type.Optional(ShowSchema),
});

/** One world, many shots: the document that is stored, sent and filed. */
export const SceneSchema = strict({
  format: Type.Literal(FORMAT),
  version: Type.Literal(VERSION),
  title: Type.String({ maxLength: 200 }),
  /** Where the scene plays. */
  place: Type.Optional(Type.String({ maxLength: 200 })),
  orientations: Type.Array(OrientationSchema, { maxItems: 200 }),
  elements: Type.Array(ElementSchema, { maxItems: 20000 }),
  shots: Type.Array(ShotSchema, { minItems: 1, maxItems: 500 }),
});

export type Scene = Static<typeof SceneSchema>;
export type Shot = Static<typeof ShotSchema>;
export type Sheet = Shot["sheet"];
export type Orientation = Static<typeof OrientationSchema>;
export type Bundle = Static<typeof BundleSchema>;
export type Measured = Static<typeof MeasuredSchema>;
export type Show = Static<typeof ShowSchema>;
