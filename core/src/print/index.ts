export * from "./tiles";
