export * from "./box";
export * from "./built";
export { sharpJunctions, type SharpJunction } from "./sharp";
export * from "./details";
export * from "./dressed";
export {
  KINDS,
  requireValid,
  validateElement,
  whyInvalid,
  kindOf,
  type Box,
  type Element,
  type ElementError,
  type ElementKind,
  type LevelCircle,
  type Figure,
  type Hanging,
  type LanePlace,
  type Oddity,
  type RoadwayEnd,
} from "./kinds";
export * from "./kinds/arches";
export * from "./kinds/basin";
export * from "./kinds/block";
export * from "./kinds/bridge";
export * from "./kinds/building";
export * from "./kinds/canal";
export * from "./kinds/columns";
export * from "./kinds/crate";
export * from "./kinds/fixture";
export * from "./kinds/furniture";
export * from "./kinds/crowd";
export * from "./rolledCrowd";
export { upperFacesOf } from "./upperFaces";
export * from "./kinds/person";
export * from "./kinds/plant";
export * from "./kinds/street-furniture";
export * from "./kinds/boat";
export * from "./kinds/sky";
export * from "./kinds/vehicle";
export * from "./kinds/ground";
export { branchOf, type Points, type Rails } from "./kinds/rails";
export { CANOPY, PLATFORM, PLATFORM_HEIGHTS, type Platform } from "./kinds/platform";
export * from "./kinds/sign";
export * from "./kinds/skyline";
export * from "./kinds/square";
export * from "./kinds/steps";
export * from "./kinds/street";
export {
  newTurned,
  outlineOfTurned,
  TURNED,
  turnedOutline,
  validateTurned,
  type TurnedForm,
  type TurnedThing,
} from "./kinds/turned";
export * from "./kinds/wall";
export { BEDS, GAUGE, type Bed } from "./track";
export * from "./outline";
export * from "./path";
export { shared, together, without, type Region } from "./areas";
export * from "./polygon";
export { rowBoundaries } from "./boundaries";
export * from "./round";
export { facing, type Seeing } from "./round/facing";
export { normalOfSurface } from "./round/normals";
export { OUTLINE_ONLY, type Resolution } from "./resolution";
export * from "./row";
export { RowSchema, type Row } from "./rowSchema";
export * from "./solid";
export { raisedBy, terrainOf } from "./raisedGround";
export { groundAt, LEVEL, terrainRange, type Terrain } from "./terrain";
export * from "./climbs";
