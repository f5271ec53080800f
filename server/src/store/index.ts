export * from "./store";
