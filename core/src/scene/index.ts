export * from "./defaults";
export * from "./format";
export * from "./names";
export * from "./page";
export * from "./papers";
export * from "./schema";
