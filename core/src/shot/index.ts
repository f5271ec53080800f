export * from "./clip";
export * from "./curve";
export * from "./numbers";
export * from "./situations";
export * from "./solve";
export * from "./stretch";
export * from "./systems";
export * from "./view";
