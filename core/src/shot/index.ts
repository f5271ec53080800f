export * from "./clip";
export * from "./numbers";
export * from "./solve";
export * from "./view";
