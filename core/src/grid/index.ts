export * from "./bundle";
