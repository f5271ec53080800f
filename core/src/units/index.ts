export * from "./measure";
export * from "./system";
