export * from "./defaults";
export * from "../format";
export * from "./names";
export * from "./onSheet";
export * from "./page";
export * from "./pageSketch";
export * from "./panel";
export * from "./papers";
export * from "./under";
export type {
  Aids,
  Balloon,
  Bundle,
  Depth,
  Edge,
  Hand,
  Kit,
  KitKind,
  Measured,
  Orientation,
  PickedArc,
  Reference,
  LineSpacing,
  Scene,
  Sheet,
  Shot,
  Show,
  Sightings,
  Sketch,
  Slope,
  Tools,
  TracedSet,
  Trim,
  Wall,
} from "../schema";
