export * from "./slip";
export * from "./steps";
export * from "./ticks";
