export { printOf } from "./desk";
export { toPdf } from "./drawing";
export { recipePdf } from "./recipe";
export { slipPdf } from "./slip";
export { toTiles, type Print, type Progress } from "./tiles";
