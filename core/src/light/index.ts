export * from "./rays";
export * from "./schema";
export * from "./sunAt";
