export * from "./clip";
export * from "./solve";
export * from "./view";
