export * from "./angle";
export * from "./hermite";
export * from "./homography";
export * from "./random";
export * from "./intervals";
export * from "./rect";
export * from "./ring";
export * from "./vec";
