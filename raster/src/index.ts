export { damaged, greyPhoto, jpegOf, openPhoto } from "./photo";
export { toPng } from "./png";
export { toSvgWith, type Ink, type Jpegs, type PngOptions } from "./render";
export { toOra, toPngSet } from "./layered";
