export * from "./drag";
export * from "./horizon";
export * from "./pins";
export * from "./point";
export * from "./aids";
