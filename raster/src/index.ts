export { damaged, greyPhoto, openPhoto } from "./photo";
export { toPng } from "./png";
