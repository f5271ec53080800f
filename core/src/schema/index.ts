export * from "../fields";
export * from "./scene";
