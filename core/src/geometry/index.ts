export * from "./angle";
export * from "./random";
export * from "./intervals";
export * from "./rect";
export * from "./vec";
