export { Canvas, usePainter, type Painter } from "./Canvas";
export { Layers } from "./Layers";
