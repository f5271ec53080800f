export * from "./angle";
export * from "./intervals";
export * from "./rect";
export * from "./vec";
