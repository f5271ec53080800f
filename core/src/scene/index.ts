export * from "./defaults";
export * from "./names";
export * from "./papers";
export * from "./schema";
