export * from "./cache";
export { backedBy, coveredBy, hiddenFrom, type BackedBy, type Covered, type HiddenFrom } from "./covered";
export { cutAway } from "./cutaway";
export * from "./edges";
export * from "./visibleEdges";
export { areasByDistance } from "./areasByDistance";
export { NO_AREAS, OPEN_GROUND, SEEN, type FaceAreas } from "./faceAreas";
export { SHADOW_REACH } from "./receiver";
export type { Shading } from "./shades";
