export * from "./aim";
export * from "./edit";
export * from "./elevation";
export { erased } from "./erase";
export * from "./onPlane";
export { onward } from "./onward";
export { crossingOf, snapIndexOf, type Snap, type SnapIndex, type SnapKind } from "./snap";
export * from "./strokes";
