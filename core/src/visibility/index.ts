export * from "./cache";
export { coveredBy, hiddenFrom, type Covered, type HiddenFrom } from "./covered";
export { cutAway } from "./cutaway";
export * from "./edges";
export * from "./visibleEdges";
