export { backUp, copyDatabase, restoreBackup } from "./backup";
export { CannotOpen, codeOf, isBusy, isDiskError, isFull, NotCommitted, NotFound } from "./errors";
export { backupsOf, besides } from "./files";
export { isPictureName, picturesNamedIn } from "./names";
export { Damaged, pack, type Packed } from "./packing";
export { openPictures, type Pictures } from "./pictures";
export * from "./scenes";
