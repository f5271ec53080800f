import { remembered } from "../remembered";
import { createSingleKeys } from "./createSingleKeys";

/** The single keys of this window. */
export const { useSingleKeys, switchSingleKeys } = createSingleKeys(remembered.visits);
