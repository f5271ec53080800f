export * from "./defaults";
export * from "./papers";
export * from "./schema";
