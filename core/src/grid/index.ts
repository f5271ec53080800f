export * from "./bundle";
export * from "./cone";
export * from "./fade";
export * from "./measured";
