export * from "./bundle";
export * from "./cone";
export * from "./curved";
export * from "./fade";
export * from "./extent";
export * from "./rooms";
export { measuredGrid, planeOf, type MeasuredLines, type MeasuredPlane } from "./measured";
