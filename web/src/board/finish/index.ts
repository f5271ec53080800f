export { DepthFields } from "./DepthFields";
export { HandFields } from "./HandFields";
export { PenFields } from "./PenFields";
export { readFinish, type Finish } from "./finishes";
