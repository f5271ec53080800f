export { ellipseOf, recoverPoint, type RecoveredPoint } from "./point";
export { sent, straightened, straightening, type Homography, type Straightening } from "./straighten";
export { normOf, type Norm, type Segment } from "./segments";
export { recoverView, type Asked, type Family, type RecoveredView } from "./view";
export { measureHeights, type Measured, type Standing } from "./heights";
export { as35, edgesOf, HAND, onPaperAt, pointOf, shotFrom, viewOfReference } from "./reference";
export { resample, type Pixels } from "./resample";
