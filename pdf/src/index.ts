export { printOf } from "./desk";
export { toPdf } from "./drawing";
export { slipPdf } from "./slip";
export { toTiles, type Print, type Progress } from "./tiles";
