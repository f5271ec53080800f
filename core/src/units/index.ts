export * from "./measure";
