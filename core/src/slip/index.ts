export * from "./slip";
