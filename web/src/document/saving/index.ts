export type { Saving } from "./state";
