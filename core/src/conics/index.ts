export * from "./drawing";
export * from "./ellipse";
export * from "./seen";
