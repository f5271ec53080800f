export * from "./cache";
export * from "./edges";
