export { damaged, greyPhoto, jpegOf, openPhoto } from "./photo";
export { toPng, toSvgWith, type Jpegs } from "./png";
export { toOra, toPngSet } from "./layered";
