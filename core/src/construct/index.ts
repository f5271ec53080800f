export * from "./align";
export * from "./along";
export * from "./hold";
export * from "./pick";
export * from "./snap";
export * from "./places";
export * from "./plan";
