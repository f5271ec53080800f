export * from "./measure";
export * from "./system";
export * from "./sentence";
