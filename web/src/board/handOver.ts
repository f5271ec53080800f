import { remembered } from "../remembered";
import { createHandOver } from "./createHandOver";

/** The choices of this window. */
export const { useHandOver, chooseHandOver } = createHandOver(remembered.visits);
