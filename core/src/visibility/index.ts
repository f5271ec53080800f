export * from "./kept";
export * from "./see";
