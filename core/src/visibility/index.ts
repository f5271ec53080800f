export * from "./cache";
export { coveredBy, type Covered } from "./covered";
export * from "./edges";
export * from "./visibleEdges";
