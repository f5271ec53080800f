export { PageFields } from "./PageFields";
export { ShapeFields } from "./ShapeFields";
export { PageSketch } from "./PageSketch";
