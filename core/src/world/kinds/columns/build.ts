import type { Detail } from "../../details";
import type { Solid } from "../../solid";
import { aroundColumns } from "./carried";
import { columnDetails, columnSolids, shapeOf, type Stood } from "./column";
import { diameterOf, standsOf, stepsHigh, validateColumns } from "./measures";
import type { Columns } from "./schema";

/** Mouldings are a tenth of a diameter: where that cannot be told apart, columns are plain. */
const MOULDING = 0.1;

const isPlainAt = (columns: Columns, leastLength: number): boolean => MOULDING * diameterOf(columns) < leastLength;

const stoodOf = (columns: Columns): readonly Stood[] =>
  standsOf(columns).map((one) => ({ ...one, z: columns.at.z + stepsHigh(columns) }));

/** The solids of columns, and of all that they stand on and carry; none where they cannot stand. */
export function buildColumns(columns: Columns, leastLength = 0): Solid[] {
  if (validateColumns(columns)) return [];
  const isPlain = isPlainAt(columns, leastLength);
  const shape = shapeOf(columns, isPlain);
  return [
    ...stoodOf(columns).flatMap((stood) => columnSolids(columns, stood, shape, isPlain)),
    ...aroundColumns(columns),
  ];
}

/** The lines of columns: their flutes. */
export function columnsDetails(columns: Columns, solids: readonly Solid[], leastLength = 0): Detail[] {
  if (validateColumns(columns) || isPlainAt(columns, leastLength)) return [];
  const shape = shapeOf(columns, false);
  const stands = stoodOf(columns);
  const each = columnSolids(columns, stands[0], shape, false).length;
  return stands.flatMap((stood, i) => columnDetails(columns, stood, shape, solids[i * each]));
}
