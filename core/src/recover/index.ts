export { ellipseOf, recoverPoint, type RecoveredPoint } from "./point";
export { normOf, type Norm, type Segment } from "./segments";
