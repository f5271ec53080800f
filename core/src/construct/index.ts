export * from "./along";
export * from "./hold";
export * from "./pick";
export * from "./snap";
export * from "./plan";
