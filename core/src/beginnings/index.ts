export * from "./beginnings";
export * from "./template";
