export { buildingCorners } from "./corners";
export * from "./page";
export * from "./slip";
export * from "./steps";
export * from "./text";
export * from "./ticks";
