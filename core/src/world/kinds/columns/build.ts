import type { Detail } from "../../details";
import type { Solid } from "../../solid";
import { aroundColumns } from "./carried";
import { columnDetails, columnSolids, shapeOf, type Stood } from "./column";
import { diameterOf, standsOf, stepsHigh, validateColumns } from "./measures";
import { ORDERS, type Columns } from "./schema";

/** Mouldings are about so many diameters high: where that cannot be told apart, columns are plain. */
const MOULDING = 0.03;

/** Scrolls are so large, in diameters: they stay longer. */
const SCROLL = 0.2;

const isPlainAt = (columns: Columns, leastLength: number): boolean => MOULDING * diameterOf(columns) < leastLength;

const stoodOf = (columns: Columns): readonly Stood[] =>
  standsOf(columns).map((one) => ({ ...one, z: columns.at.z + stepsHigh(columns) }));

/** The solids of columns, and of all that they stand on and carry; none where they cannot stand. */
export function buildColumns(columns: Columns, leastLength = 0): Solid[] {
  if (validateColumns(columns)) return [];
  const isPlain = isPlainAt(columns, leastLength);
  const shape = shapeOf(columns, isPlain);
  const hasScrolls = SCROLL * diameterOf(columns) >= leastLength;
  return [
    ...stoodOf(columns).flatMap((stood) => columnSolids(columns, stood, shape, hasScrolls)),
    ...aroundColumns(columns),
  ];
}

/** The lines of columns: their flutes, where these can be told apart. */
export function columnsDetails(columns: Columns, solids: readonly Solid[], leastLength = 0): Detail[] {
  const { flutes } = ORDERS[columns.order];
  const apart = (Math.PI * diameterOf(columns)) / Math.max(1, flutes);
  if (validateColumns(columns) || flutes === 0 || apart < leastLength) return [];
  const shape = shapeOf(columns, isPlainAt(columns, leastLength));
  const stands = stoodOf(columns);
  const hasScrolls = SCROLL * diameterOf(columns) >= leastLength;
  const each = columnSolids(columns, stands[0], shape, hasScrolls).length;
  return stands.flatMap((stood, i) => columnDetails(columns, stood, shape, solids[i * each]));
}
