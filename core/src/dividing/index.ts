export {
  constructedOwn,
  dividedOwn,
  evenlyOff,
  linesOfQuad,
  spacedOnPlane,
  spacedOnSheet,
  type QuadLines,
  type Spaced,
} from "./ownLines";
export { divideQuad, onQuad, quadProblem, type Divided, type Division, type Stretch } from "./quad";
export { byMeasuringPoint } from "./measuring";
export { meet, through } from "./meet";
export { byDiagonals, byMarks, type Constructed, type Drawn } from "./schools";
export { evenError, spacedTowards } from "./spacing";
