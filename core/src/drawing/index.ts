export * from "./aids";
export * from "./draw";
export * from "./grids";
export * from "./layer";
export * from "./lettering";
export * from "./sheet";
export * from "./style";
export * from "./svg";
