export { blankGridFiles, GridsSchema, type Grids } from "./grids";
export { FORMATS, writerOf } from "./formats";
