export { PageFields } from "./PageFields";
export { ShapeFields } from "./ShapeFields";
