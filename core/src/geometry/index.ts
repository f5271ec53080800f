export * from "./angle";
export * from "./dice";
export * from "./intervals";
export * from "./rect";
export * from "./vec";
