export * from "./cache";
export { coveredBy, hiddenFrom, type Covered, type HiddenFrom } from "./covered";
export * from "./edges";
export * from "./visibleEdges";
