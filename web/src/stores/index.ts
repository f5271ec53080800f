export type { Stores } from "./createStores";
export { useSpoken } from "./useSpoken";
export { StoresProvider, useStores } from "./useStores";
