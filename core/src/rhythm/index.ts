export { FITS, type Fit } from "./fits";
export { asRhythm, equalParts, MAX_PARTS, partsOf, rhythmOf, type Part } from "./rhythm";
export { sharesOf } from "./shares";
