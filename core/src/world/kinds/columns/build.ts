import type { Detail } from "../../details";
import type { Solid } from "../../solid";
import { aroundColumns } from "./carried";
import type { Stood } from "./capitals";
import { capitalDetails, columnSolids, flutesOf, shapeOf } from "./column";
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

/** Leaves are about so many diameters wide, and the turns of a spiral so far apart: smaller ones are left out. */
const FINE = 0.06;

/** The lines of columns: their flutes, and those of their capitals, where these can be told apart. */
export function columnsDetails(columns: Columns, solids: readonly Solid[], leastLength = 0): Detail[] {
  if (validateColumns(columns)) return [];
  const d = diameterOf(columns);
  const { flutes } = ORDERS[columns.order];
  const isFluted = flutes > 0 && (Math.PI * d) / flutes >= leastLength;
  const isFine = FINE * d >= leastLength;
  if (!isFluted && !isFine) return [];
  const shape = shapeOf(columns, isPlainAt(columns, leastLength));
  const stands = stoodOf(columns);
  const hasScrolls = SCROLL * d >= leastLength;
  const each = columnSolids(columns, stands[0], shape, hasScrolls).length;
  return stands.flatMap((stood, i) => {
    const own = solids.slice(i * each, (i + 1) * each);
    return [
      ...(isFluted ? flutesOf(columns, stood, shape, own[0]) : []),
      ...(isFine ? capitalDetails(columns, stood, shape, own) : []),
    ];
  });
}
