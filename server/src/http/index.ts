export * from "./app";
