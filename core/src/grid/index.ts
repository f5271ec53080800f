export * from "./bundle";
export * from "./cone";
export * from "./measured";
