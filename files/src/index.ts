export { blankGridFiles, GridsSchema, type Grids } from "./grids";
export { zipOf } from "./zipOf";
export { howWritten, INKS, type HowWritten } from "./options";
export { SHEET_FORMATS, formatOf, FORMATS, type Content, type DrawingFormat, type Format } from "./formats";
