export * from "./lightsOf";
export * from "./rays";
export * from "./schema";
export * from "./sunAt";
