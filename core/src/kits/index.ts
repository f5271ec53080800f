export { frameOf, reachOf, type Frame } from "./frame";
export * from "./instances";
export * from "./kit";
export * from "./rows";
export * from "./taken";
