export * from "./slip";
export * from "./steps";
