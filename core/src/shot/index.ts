export * from "./clip";
export * from "./numbers";
export * from "./situations";
export * from "./solve";
export * from "./stretch";
export * from "./view";
