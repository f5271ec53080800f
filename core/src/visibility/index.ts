export * from "./cache";
export * from "./edges";
export * from "./visibleEdges";
