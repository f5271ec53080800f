export * from "./see";
