export * from "./draw";
export * from "./style";
export * from "./svg";
export * from "./sheet";
