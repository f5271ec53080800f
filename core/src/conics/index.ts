export * from "./drawing";
export * from "./ellipse";
