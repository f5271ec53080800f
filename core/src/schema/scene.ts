import type { Static } from "@sinclair/typebox";
import { LAWS, type LawId } from "../lens";
import { FORMAT, MAX_ELEMENTS, VERSION } from "../format";
import { LightSchema, MAX_LIGHTS } from "../light";
import { DividedQuadSchema, MAX_LINES, SheetLineSchema, WorldLineSchema } from "../lines";
import { KINDS, RowSchema, type Element } from "../world";
import {
  degreesIn,
  Heading,
  Id,
  measureOf,
  Metres,
  metresIn,
  millimetresIn,
  named,
  offered,
  Point2,
  Size,
  strict,
  type Measure,
  Type,
} from "../fields";
import { BalloonSchema, MAX_BALLOONS, PageNumberSchema, PageTitleSchema, PanelSchema, TrimSchema } from "./page";
import { DepthSchema, HandSchema, PensSchema, ProfileSchema, SquaresSchema, ToneSchema } from "./finish";

/** A place on the desk, in mm: pins may lie far off the sheet. */
const Millimetres = millimetresIn({ minimum: -1e7, maximum: 1e7 });
const Side = millimetresIn({ exclusiveMinimum: 0, maximum: 1e5 });
const Strength = Type.Number({ minimum: 0, maximum: 1 });
const RectSchema = strict({ x: Millimetres, y: Millimetres, width: Side, height: Side });

/** A heading as one types it: within a turn either way. */
const Turn = offered(-360, 360, Heading);

const Name = Type.String({ maxLength: 200 });
/** One of a few words. */
const OneOf = <T extends string>(...words: readonly T[]) => Type.Unsafe<T>({ type: "string", enum: [...words] });

/**
 * Roofs, ramps, stairs: lines that rise by so many degrees along an orientation's heading, or across it (heading + 90),
 * and their twins that fall by as many.
 */
const SlopeSchema = strict({
  id: Id,
  name: Name,
  axis: OneOf("along", "across"),
  rise: named("Gradient", offered(0.5, 89, degreesIn({ minimum: 0.1, maximum: 89.9 }))),
});

const OrientationSchema = strict({
  id: Id,
  name: Name,
  heading: named("Heading", Turn),
  slopes: Type.Optional(Type.Array(SlopeSchema, { maxItems: 50 })),
});

const LensSchema = strict({
  law: Type.Unsafe<LawId>({ type: "string", enum: Object.keys(LAWS) }),
  distance: named("Picture distance", offered(1, 1e6, millimetresIn({ exclusiveMinimum: 0, maximum: 1e7 }))),
  centre: strict({
    x: named("Centre, from left", offered(-1e5, 1e5, Millimetres)),
    y: named("Centre, from top", offered(-1e5, 1e5, Millimetres)),
  }),
  /** Degrees across at which a disc is cut off, where that is before its lens ends. */
  within: Type.Optional(named("Disc cut at", degreesIn({ minimum: 1, maximum: 360 }))),
});

/** A loose bundle of one set of parallels: mm between lines at the panel's far side, and strength of the line. */
const BundleSchema = strict({
  pin: Id,
  spacing: named("Spacing, far side", millimetresIn({ minimum: 0.8, maximum: 1000 })),
  strength: Strength,
  /** Evenly turned about the point (as by default), or evenly spaced along the panel's edge. */
  even: Type.Optional(OneOf("angle", "edge")),
  /** Put aside: neither its lines nor its point are shown. */
  off: Type.Optional(Type.Boolean()),
});

/** What keeps grids from clotting, in mm: the least gap between two lines, and the clear space around each point. */
const LineSpacingSchema = strict({
  gap: named("Least gap", millimetresIn({ minimum: 0.3, maximum: 20 })),
  clear: named("Clear around points", millimetresIn({ minimum: 0, maximum: 200 })),
});

/** Any kind of element, told apart by its `kind`. */
export const ElementSchema = Type.Unsafe<Element>({
  type: "object",
  discriminator: { propertyName: "kind" },
  required: ["kind"],
  oneOf: KINDS.map(({ schema }) => schema),
});

/** What a kit is of: things that are put down together, or the front of a wall. */
const KIT_KINDS = ["things", "front"] as const;
export type KitKind = (typeof KIT_KINDS)[number];
const KitKindSchema = OneOf(...KIT_KINDS);

/**
 * A kit as a scene has taken it over from the shelf: its name, what it is of, its revision there, and what it is made
 * of, around the origin and facing south; of a front, one building that has it.
 */
const KitSchema = strict({
  id: Id,
  name: Name,
  of: KitKindSchema,
  revision: Type.Integer({ minimum: 1 }),
  elements: Type.Array(ElementSchema, { minItems: 1, maxItems: 500 }),
});

const SpanSchema = strict({ from: Metres, to: Metres });

/** A plane measured out in squares of `every` metres, every `heavy`th line heavier. */
const MeasuredSchema = strict({
  plane: OneOf("level", "left", "right"),
  at: named("Height", offered(-1e4, 1e4, Metres)),
  every: named("A line every", metresIn({ minimum: 0.01, maximum: 1e4 })),
  heavy: named("Heavier, of lines", Type.Integer({ minimum: 1, maximum: 1000 })),
  strength: Strength,
  /** Heavier lines carry their measure. */
  numbered: Type.Optional(Type.Boolean()),
  /** Fades in steps, and ends this many metres before the eye. */
  fade: Type.Optional(named("Gone at", metresIn({ minimum: 1, maximum: 1e5 }))),
  /** Where it ends: along both sets, in m from the eye, and up from the ground. */
  extent: Type.Optional(strict({ left: SpanSchema, right: SpanSchema, up: SpanSchema })),
});

/** Aids for points off the page, drawn on the sheet: mm between edge ticks, and which of them are drawn. */
const AidsSchema = strict({
  every: named("A tick every", millimetresIn({ minimum: 1, maximum: 500 })),
  ticks: Type.Boolean(),
  tilts: Type.Boolean(),
  strips: Type.Boolean(),
  pegs: Type.Boolean(),
  scaled: Type.Boolean(),
});

/** Vanishing points as a sketch has them, not yet the points of any view. */
const SketchedPoint = strict({
  x: named("From the left", offered(-1e6, 1e6, Millimetres)),
  y: named("From the top", offered(-1e6, 1e6, Millimetres)),
});
const SketchSchema = strict({
  left: SketchedPoint,
  right: SketchedPoint,
  third: Type.Optional(SketchedPoint),
});

const Tilt = offered(0, 89, degreesIn({ minimum: 0, maximum: 89.9 }));
const SightedSideSchema = strict({
  upper: named("Upper, tilt", Tilt),
  lower: Type.Optional(named("Lower, tilt", Tilt)),
});
const Sighted = offered(-1e5, 1e5, Millimetres);
const Ratio = offered(0.01, 100, Type.Number({ minimum: 0.001, maximum: 1000 }));

/**
 * What was read off a pencil at arm's length: the near corner's upright (mm of the sheet), tilts of the edges that
 * leave it towards the horizon (degrees), height against width, and the left part against the right one.
 */
const SightingsSchema = strict({
  x: named("Corner, from the left", Sighted),
  top: named("Its top, from the top", Sighted),
  bottom: named("Its foot, from the top", Sighted),
  left: SightedSideSchema,
  right: SightedSideSchema,
  parts: Type.Optional(
    strict({
      heightToWidth: named("Height ÷ width", Ratio),
      leftToRight: named("Left part ÷ right", Ratio),
    }),
  ),
});

/** What somebody draws with: lengths in mm; a compass or a ruler that is not named is not there. */
const ToolsSchema = strict({
  ruler: Type.Optional(named("Longest ruler", offered(50, 5000, Side))),
  compass: Type.Optional(named("Compass opens to", offered(10, 2000, Side))),
  beam: Type.Optional(named("Beam compass opens to", offered(50, 5000, Side))),
  setSquares: Type.Optional(Type.Boolean()),
  tape: Type.Optional(Type.Boolean()),
  lightTable: Type.Optional(Type.Boolean()),
});

/** A line to a point, picked to be drawn by compass: the pin it runs to, and a place of the sheet it passes. */
const PickedArcSchema = strict({ pin: Id, through: Point2(Millimetres) });

const Px = Type.Number({ minimum: -1e6, maximum: 1e6 });
const PxSide = Type.Integer({ minimum: 1, maximum: 100_000 });

/**
 * An edge traced in a picture, px; `hand`: how many of them the hand may be off, as it saw the picture; `wide`: how
 * wide the pencil stroke is that it lies in the middle of; `out` leaves it aside.
 */
const EdgeSchema = strict({
  x1: Px,
  y1: Px,
  x2: Px,
  y2: Px,
  hand: Type.Optional(Type.Number({ minimum: 0.01, maximum: 1000 })),
  wide: Type.Optional(Type.Number({ minimum: 0, maximum: 1000 })),
  out: Type.Optional(Type.Boolean()),
});

/**
 * Edges that run one way in the world: to the left or right point of the scene's first directions, plumb, level in some
 * other direction, or any way.
 */
const TracedSetSchema = strict({
  id: Id,
  name: Name,
  role: OneOf("left", "right", "upright", "level", "free"),
  edges: Type.Array(EdgeSchema, { maxItems: 5000 }),
});

/**
 * An upright wall of a picture; `length` and `height` in m where they are known, `marks` as shares of its length from
 * the left.
 */
const WallSchema = strict({
  id: Id,
  name: Name,
  along: Id,
  x1: Px,
  y1: Px,
  x2: Px,
  y2: Px,
  length: Type.Optional(named("Length", offered(null, 10_000, Size))),
  height: Type.Optional(named("Height", offered(null, 10_000, Size))),
  marks: Type.Optional(Type.Array(Type.Number({ minimum: 0, maximum: 1 }), { maxItems: 500 })),
});

/**
 * A picture that is drawn after: where its file is kept, what was traced in it, and what may be taken for granted of
 * it.
 */
const ReferenceSchema = strict({
  id: Id,
  name: Name,
  /** SHA-256 of the picture's file. */
  picture: Type.String({ pattern: "^[0-9a-f]{64}$" }),
  width: PxSide,
  height: PxSide,
  /** The lens that the camera noted, as on full frame, mm. */
  focal35: Type.Optional(Type.Number({ minimum: 1, maximum: 10_000 })),
  sets: Type.Array(TracedSetSchema, { maxItems: 50 }),
  /** Things that stand on the ground, from foot (x1 y1) to top (x2 y2), px; `metres` where the height is known. */
  heights: Type.Optional(
    Type.Array(
      strict({
        x1: Px,
        y1: Px,
        x2: Px,
        y2: Px,
        metres: Type.Optional(named("Height", metresIn({ minimum: 0.01, maximum: 10_000 }))),
      }),
      { maxItems: 500 },
    ),
  ),
  /** Walls that stand upright along a set, from a lower corner (x1 y1) to the opposite upper one (x2 y2), px. */
  walls: Type.Optional(Type.Array(WallSchema, { maxItems: 200 })),
  /** Quadrilaterals whose world is unknown, divided and repeated: corners in px. */
  quads: Type.Optional(Type.Array(DividedQuadSchema, { maxItems: 200 })),
  /** Edges that are straight in the world and bowed by the lens: places along each, px. */
  bowed: Type.Optional(
    Type.Array(strict({ points: Type.Array(Point2(Px), { minItems: 3, maxItems: 500 }) }), { maxItems: 100 }),
  ),
  /** The horizon, where it is known: two places on it, px. */
  horizon: Type.Optional(strict({ x1: Px, y1: Px, x2: Px, y2: Px })),
  /** The lens, where it is known: as on full frame, mm. */
  lens35: Type.Optional(named("Lens, 35 mm equivalent", millimetresIn({ minimum: 4, maximum: 3000 }))),
  /** A scan of one's own drawing, so many mm wide. */
  drawing: Type.Optional(strict({ width: named("The scan is wide", offered(10, null, Side)) })),
  /** The camera was level. */
  level: Type.Optional(Type.Boolean()),
  /** The centre of vision, px, where it is known and is not the middle. */
  centre: Type.Optional(Point2(Px)),
  /** The picture was cropped: its middle is not the centre of vision. */
  cropped: Type.Optional(Type.Boolean()),
  /** Left and right are not at right angles. */
  oblique: Type.Optional(Type.Boolean()),
});

/**
 * A picture under a drawing: which one, how strongly, and where it lies on the sheet; `held`: the view stays that of
 * the picture, whatever is done to it.
 */
const UnderSchema = strict({
  reference: Id,
  strength: Strength,
  at: RectSchema,
  /** How far it is turned about its middle, degrees clockwise. */
  turn: Type.Optional(named("Turned by", degreesIn({ minimum: -360, maximum: 360 }))),
  /** It lies under the whole sheet, and not under the panel alone. */
  wholeSheet: Type.Optional(Type.Boolean()),
  held: Type.Optional(Type.Boolean()),
});

/** How strongly each kind of layer is drawn; 0 leaves it out. Which kinds there are is checked with the whole scene. */
const ShowSchema = Type.Record(Type.String({ maxLength: 40 }), Strength);

const ShotSchema = strict({
  id: Id,
  name: Name,
  /** Shots of one page are panels on the same sheet, each in its own frame. */
  page: Type.Optional(Id),
  /** The shot whose other side this is: it turns with it. */
  backOf: Type.Optional(Id),
  sheet: strict({
    width: named("Width", offered(20, 5000, Side)),
    height: named("Height", offered(20, 5000, Side)),
    /** The name of a standard paper, where it is one. */
    paper: Type.Optional(Type.String({ maxLength: 60 })),
    /** The live area of a comic board. */
    live: Type.Optional(RectSchema),
    trim: Type.Optional(TrimSchema),
    title: Type.Optional(PageTitleSchema),
    number: Type.Optional(PageNumberSchema),
  }),
  frame: strict({
    x: named("From the left", offered(0, null, Millimetres)),
    y: named("From the top", offered(0, null, Millimetres)),
    width: named("Panel width", offered(5, null, Side)),
    height: named("Panel height", offered(5, null, Side)),
  }),
  /** The shape of its panel, where that is no upright rectangle. */
  panel: Type.Optional(PanelSchema),
  balloons: Type.Optional(Type.Array(BalloonSchema, { maxItems: MAX_BALLOONS })),
  eye: strict({
    x: named("Eye, east of the origin", offered(-1e5, 1e5, Metres)),
    y: named("Eye, north of the origin", offered(-1e5, 1e5, Metres)),
    z: named("Eye height", offered(-1000, 10_000, Metres)),
  }),
  gaze: strict({
    heading: named("Heading", Turn),
    pitch: named("Pitch (look up)", degreesIn({ minimum: -90, maximum: 90 })),
    roll: named("Roll", offered(-180, 180, degreesIn({ minimum: -360, maximum: 360 }))),
  }),
  lens: LensSchema,
  bundles: Type.Optional(Type.Array(BundleSchema, { maxItems: 200 })),
  measured: Type.Optional(Type.Array(MeasuredSchema, { maxItems: 50 })),
  room: Type.Optional(LineSpacingSchema),
  aids: Type.Optional(AidsSchema),
  sketch: Type.Optional(SketchSchema),
  sightings: Type.Optional(SightingsSchema),
  under: Type.Optional(UnderSchema),
  arcs: Type.Optional(Type.Array(PickedArcSchema, { maxItems: 200 })),
  /** Lines of one's own that stay where they are drawn on the sheet, mm. */
  lines: Type.Optional(Type.Array(SheetLineSchema, { maxItems: MAX_LINES })),
  show: Type.Optional(ShowSchema),
  /** Whose light lines of construction are drawn: of one element, or of all; to their points; up to a step. */
  construction: Type.Optional(
    strict({
      of: Type.Optional(Id),
      through: Type.Optional(Type.Boolean()),
      upTo: Type.Optional(named("Up to step", Type.Integer({ minimum: 1, maximum: 50 }))),
    }),
  ),
  /**
   * Whether the horizon and the grids stop where masses stand before them; the horizon alone, where nothing is said.
   */
  stopAtMasses: Type.Optional(Type.Boolean()),
  /** The element whose near walls are left out, so that one sees into its rooms. */
  cutaway: Type.Optional(Id),
  /** What was found in it and is meant so, by the ids of findings: it is not told again. */
  meant: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 400 }), { maxItems: 500 })),
  /** What lights it, where that is not what lights the scene. */
  lights: Type.Optional(Type.Array(LightSchema, { maxItems: MAX_LIGHTS })),
  tone: Type.Optional(ToneSchema),
  pens: Type.Optional(PensSchema),
  squares: Type.Optional(SquaresSchema),
  depth: Type.Optional(DepthSchema),
  profile: Type.Optional(ProfileSchema),
  hand: Type.Optional(HandSchema),
  /** Outlines are of one width, and not lighter with depth. */
  evenOutlines: Type.Optional(Type.Boolean()),
});

/** One world, many shots: the document that is stored, sent and filed. */
export const SceneSchema = strict({
  format: Type.Literal(FORMAT),
  version: Type.Literal(VERSION),
  title: Name,
  /** Whether it is kept as a template: a desk that new scenes are begun on. */
  template: Type.Optional(Type.Boolean()),
  /** What it is a kit of, where it is kept as one. */
  kit: Type.Optional(KitKindSchema),
  /** Where the scene plays. */
  place: Type.Optional(Name),
  /** Where the world's origin lies on the Earth, degrees, and the world's heading of true north. */
  ground: Type.Optional(
    strict({
      longitude: named("Longitude of the origin", degreesIn({ minimum: -180, maximum: 180 })),
      latitude: named("Latitude of the origin", degreesIn({ minimum: -85, maximum: 85 })),
      north: named("True north", Turn),
    }),
  ),
  orientations: Type.Array(OrientationSchema, { maxItems: 200 }),
  elements: Type.Array(ElementSchema, { maxItems: MAX_ELEMENTS }),
  /** Street sides that are built up by rule. */
  rows: Type.Optional(Type.Array(RowSchema, { maxItems: 500 })),
  /** The kits that are in it, as they were taken over. */
  kits: Type.Optional(Type.Array(KitSchema, { maxItems: 200 })),
  /** What the set-up sheet and constructions may ask for; anything, where nothing is said. */
  tools: Type.Optional(ToolsSchema),
  /** Lines of one's own on planes of the world: every shot shows them. */
  lines: Type.Optional(Type.Array(WorldLineSchema, { maxItems: MAX_LINES })),
  /** What lights it; where there is no light, there are no shadows. */
  lights: Type.Optional(Type.Array(LightSchema, { maxItems: MAX_LIGHTS })),
  shots: Type.Array(ShotSchema, { minItems: 1, maxItems: 500 }),
  references: Type.Optional(Type.Array(ReferenceSchema, { maxItems: 200 })),
});

/**
 * How the schema describes a number of a scene: what it is called, its unit and its limits.
 * @param path with a star for whichever entry of a list: "shots/*" + "/gaze/pitch"
 * @throws Error where there is none with a name
 */
export const sceneMeasure = (path: string): Measure => measureOf(SceneSchema, path);

export type Scene = Static<typeof SceneSchema>;
export type Kit = Static<typeof KitSchema>;
export type Shot = Static<typeof ShotSchema>;
export type Sheet = Shot["sheet"];
export type Orientation = Static<typeof OrientationSchema>;
export type Slope = Static<typeof SlopeSchema>;
export type LineSpacing = Static<typeof LineSpacingSchema>;
export type Aids = Static<typeof AidsSchema>;
export type Sightings = Static<typeof SightingsSchema>;
export type Reference = Static<typeof ReferenceSchema>;
export type Wall = NonNullable<Reference["walls"]>[number];
export type TracedSet = Reference["sets"][number];
export type Edge = TracedSet["edges"][number];
export type Tools = Static<typeof ToolsSchema>;
export type PickedArc = Static<typeof PickedArcSchema>;
export type Sketch = Static<typeof SketchSchema>;
export type Bundle = Static<typeof BundleSchema>;
export type Measured = Static<typeof MeasuredSchema>;
export type Show = Static<typeof ShowSchema>;
export type { Depth, Hand } from "./finish";
export type { Balloon, Trim } from "./page";
