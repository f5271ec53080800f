export * from "./bundle";
export * from "./cone";
export * from "./measured";
export { LEAST_GAP } from "./thinning";
