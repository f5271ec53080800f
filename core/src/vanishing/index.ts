export * from "./aids";
export * from "./compass";
export { movePin, shiftHorizon, slopeTo, type Keep } from "./drag";
export * from "./horizon";
export * from "./measuring";
export * from "./pins";
export * from "./point";
export * from "./sightings";
export * from "./sketch";
