export { blankGridFiles, GridsSchema, type Grids } from "./grids";
export { SHEET_FORMATS, formatOf, FORMATS, type Content, type DrawingFormat, type Format } from "./formats";
