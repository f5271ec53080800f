import { elementBuilder, onLowest } from "../builder";
import { columnsOutline } from ".";
import { buildColumns, columnsDetails } from "./build";
import type { Columns } from "./schema";

export const columnsBuilder = elementBuilder<Columns>({
  build: (element, around) => buildColumns(element, around?.leastLength),
  details: (element, solids, around) => columnsDetails(element, solids, around?.leastLength),
  fine: () => true,
  settle: onLowest(columnsOutline),
});
