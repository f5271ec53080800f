export * from "./elements";
export * from "./fields";
export * from "./scene";
