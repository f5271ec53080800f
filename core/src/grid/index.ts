export * from "./bundle";
export * from "./cone";
export * from "./curved";
export * from "./fade";
export { measuredGrid, planeOf, type MeasuredLines, type MeasuredPlane } from "./measured";
