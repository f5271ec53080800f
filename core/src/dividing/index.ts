export { constructedOwn, dividedOwn, evenlyOff, spacedOnPlane, spacedOnSheet, type Spaced } from "./ownLines";
export { divideQuad, onQuad, quadProblem, type Divided, type Division, type Stretch } from "./quad";
export { asRhythm, equalParts, MAX_PARTS, partsOf, rhythmOf, type Part } from "./rhythm";
export { byDiagonals, byMarks, byMeasuringPoint, meet, through, type Constructed, type Drawn } from "./schools";
export { sharesOf } from "./shares";
export { evenError, spacedTowards } from "./spacing";
