export * from "./store";
export { isPictureName, openPictures, type Picture, type Pictures } from "./pictures";
