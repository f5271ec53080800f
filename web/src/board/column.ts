import { remembered } from "../remembered";
import { createColumn } from "./createColumn";

/** The column of this window. */
export const { useColumn, arrange, widen } = createColumn(remembered.visits);
