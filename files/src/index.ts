export { blankGridFiles, GridsSchema, type Grids } from "./grids";
export { FORMATS, MASSES, writerOf } from "./formats";
