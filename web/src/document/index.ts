export type { Recipe } from "./history";
export type { StageId, Tool } from "./view";
export { freeName } from "./names";
