export * from "./along";
export * from "./pick";
export * from "./snap";
