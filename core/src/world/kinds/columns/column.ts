import type { Vec2 } from "../../../geometry";
import { rectangleAround } from "../../around";
import type { Detail } from "../../details";
import {
  bendBetween,
  bulgeOf,
  piecesOfOutline,
  roundSolid,
  surfacesOf,
  turnedPlace,
  type OutlinePoint,
} from "../../round";
import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { leavesOn, scrolls, spiralsOn, type Stood } from "./capitals";
import { diameterOf, PLINTH } from "./measures";
import { ORDERS, type Columns } from "./schema";

const HALF = bulgeOf(Math.PI);
const QUARTER = bulgeOf(Math.PI / 2);

/** Orders whose capital is a bell with leaves. */
const isTall = (order: Columns["order"]): boolean => order === "corinthian" || order === "composite";

/** Parts of a column, in lower diameters (Vignola, from memory): plinth, base with it, capital, abacus in that. */
function partsOf(order: Columns["order"]) {
  if (order === "post" || order === "pier") return { plinth: 0, base: 0, capital: 0, abacus: 0, wide: 1 };
  const isAttic = order !== "tuscan" && order !== "doric";
  const tall = isTall(order);
  return {
    plinth: isAttic ? 1 / 6 : 1 / 4,
    base: 1 / 2,
    capital: tall ? 7 / 6 : 1 / 2,
    abacus: tall ? 1 / 7 : 1 / 6,
    wide: tall ? 1.35 : order === "ionic" ? 1.1 : 1.25,
  };
}

/** A point of a half outline, in lower diameters. */
const at = (r: number, z: number, bulge?: number): OutlinePoint => ({ at: [r, z], ...(bulge ? { bulge } : {}) });

/** The base over its plinth: a torus; of the Attic one two with a hollow between. */
function baseOf(order: Columns["order"], low: number, high: number): OutlinePoint[] {
  const part = (k: number) => low + k * (high - low);
  if (order === "tuscan" || order === "doric")
    return [at(0.58, low, HALF), at(0.58, part(0.75)), at(0.54, part(0.75)), at(0.54, high)];
  return [
    at(0.6, low, HALF),
    at(0.6, part(0.4)),
    at(0.57, part(0.4)),
    at(0.57, part(0.45), -0.35),
    at(0.54, part(0.68)),
    at(0.55, part(0.7), HALF),
    at(0.55, part(0.93)),
    at(0.53, part(0.93)),
    at(0.53, high),
  ];
}

/** The capital under its abacus: an echinus; of the tall orders a bell. */
function capitalOf(order: Columns["order"], upper: number, low: number, high: number): OutlinePoint[] {
  const part = (k: number) => low + k * (high - low);
  const astragal = [at(upper, low), at(upper + 0.02, low, HALF), at(upper + 0.02, part(0.12)), at(upper, part(0.12))];
  if (isTall(order)) return [...astragal, at(upper, part(0.75), -0.25), at(upper + 0.17, high)];
  return [
    ...astragal,
    at(upper, part(0.5)),
    at(upper + 0.03, part(0.5)),
    at(upper + 0.03, part(0.58), QUARTER),
    at(upper + 0.15, high),
  ];
}

/** What one column is made of, in its own measures. */
export interface ColumnShape {
  /** The half outline over the foot of the shaft, m. */
  readonly outline: readonly OutlinePoint[];
  /** Which piece of it is the shaft that its flutes run along. */
  readonly shaft: readonly [first: number, last: number];
  /** Which piece of it is the straight part of a bell that leaves stand on; null where it has none. */
  readonly bell: number | null;
  readonly plinth: number;
  readonly abacus: number;
}

/**
 * The half outline of a column: base, shaft, capital. The lower third of the shaft is straight; over it, it tapers in
 * an arc (entasis).
 * @param isPlain without mouldings, where they could not be told apart
 */
export function shapeOf({ order, height }: Columns, isPlain: boolean): ColumnShape {
  const d = diameterOf({ order, height });
  const { plinth, base, capital, abacus } = partsOf(order);
  const total = height / d;
  const upper = ORDERS[order].upper / 2;
  const [low, high] = [base, total - capital];
  const third = low + (high - low) / 3;
  const lean = Math.atan2(0.5 - upper, high - third);
  const shaft = [
    at(0.5, low),
    ...(upper < 0.5 ? [at(0.5, third, Math.tan(lean / 2)), at(upper, high)] : [at(0.5, high)]),
  ];
  const foot = base === 0 ? [] : isPlain ? [at(0.6, plinth), at(0.6, base)] : baseOf(order, plinth, base);
  const top = total - abacus;
  const head = capital === 0 ? [] : isPlain ? [at(upper + 0.15, top)] : capitalOf(order, upper, high, top);
  const outline = [...foot, ...shaft, ...head].filter(
    ({ at: [r, z] }, i, all) => i === 0 || Math.hypot(r - all[i - 1].at[0], z - all[i - 1].at[1]) > 1e-9,
  );
  const first = foot.length;
  return {
    outline: outline.map(({ at: [r, z], bulge }) => ({ at: [r * d, z * d], bulge })),
    shaft: [first, first + shaft.length - 2],
    bell: isPlain || !isTall(order) ? null : outline.length - 3,
    plinth: plinth * d,
    abacus: abacus * d,
  };
}

/** How much of a column stands: all of it, the half before a wall, or the quarter in a corner. */
export const partStanding = ({ half, quarter }: Columns): 1 | 2 | 4 => (quarter ? 4 : half ? 2 : 1);

/** A square block around a column's axis, or as much of it as stands. */
function block(id: string, { at, facing, z }: Stood, wide: number, [from, to]: Vec2, part: 1 | 2 | 4): Solid {
  const [r, [fx, fy]] = [wide / 2, facing];
  const corners =
    part === 4
      ? rectangleAround(at, [(fx - fy) * Math.SQRT1_2, (fx + fy) * Math.SQRT1_2], [0, r], [0, r])
      : rectangleAround(at, facing, [-r, r], [part === 2 ? 0 : -r, r]);
  return loft(id, [ring(corners, z + from), ring(corners, z + to)], null);
}

/** The solids of one column. The turned one is the first. */
export function columnSolids(columns: Columns, stood: Stood, shape: ColumnShape, hasScrolls: boolean): Solid[] {
  const { id, order, height } = columns;
  const part = partStanding(columns);
  const d = diameterOf(columns);
  if (order === "pier") return [block(id, stood, d, [0, height], part)];
  const {
    at: [x, y],
    facing: [fx, fy],
    z,
  } = stood;
  const middle = Math.atan2(fy, fx);
  const turned = roundSolid(id, {
    kind: "revolved",
    axis: { origin: [x, y, z], up: [0, 0, 1], side: [1, 0, 0] },
    outline: shape.outline,
    ...(part > 1 ? { sweep: [middle - Math.PI / part, middle + Math.PI / part] as const } : {}),
  });
  const { wide } = partsOf(order);
  return [
    turned,
    ...(shape.plinth > 0 ? [block(id, stood, PLINTH * d, [0, shape.plinth], part)] : []),
    ...(shape.abacus > 0 ? [block(id, stood, wide * d, [height - shape.abacus, height], part)] : []),
    ...(hasScrolls && part < 4 && (order === "ionic" || order === "composite")
      ? scrolls(id, order, d, stood, height - shape.abacus, part === 2)
      : []),
  ];
}

/** Flutes end so many diameters before the shaft does; each is drawn in so many arcs along the taper. */
const [SHORT, STEPS] = [0.15, 4] as const;

/** The lines of a column's capital: the leaves on its bell, and the spirals on its scrolls, if it has them. */
export function capitalDetails(
  columns: Columns,
  { facing }: Stood,
  { bell }: ColumnShape,
  [turned, ...others]: readonly Solid[],
): Detail[] {
  const part = partStanding(columns);
  const middle = Math.atan2(facing[1], facing[0]);
  const pair = others.filter(({ shape }) => shape?.kind === "revolved");
  return [
    ...(bell === null ? [] : leavesOn(turned, bell, middle, (2 * Math.PI) / part)),
    ...spiralsOn(pair, part === 2),
  ];
}

/** The flutes of a column. */
export function flutesOf(columns: Columns, stood: Stood, { shaft }: ColumnShape, solid: Solid): Detail[] {
  const { order, height } = columns;
  const flutes = ORDERS[order].flutes / partStanding(columns);
  const { shape } = solid;
  if (flutes === 0 || shape?.kind !== "revolved") return [];
  const d = diameterOf({ order, height });
  const pieces = piecesOfOutline(shape.outline, false);
  const middle = Math.atan2(stood.facing[1], stood.facing[0]);
  const range = (2 * Math.PI) / partStanding(columns);
  const surfaces = surfacesOf(shape);
  return Array.from({ length: flutes }, (_, index) => index).flatMap((index) => {
    const angle = middle - range / 2 + ((index + 0.5) * range) / flutes;
    const item = { index };
    return pieces.slice(shaft[0], shaft[1] + 1).flatMap((piece, p, all): Detail[] => {
      const long = Math.hypot(piece.to[0] - piece.from[0], piece.to[1] - piece.from[1]);
      const from = p === 0 ? (SHORT * d) / long : 0;
      const to = p === all.length - 1 ? 1 - (SHORT * d) / long : 1;
      const steps = piece.arc ? STEPS : 1;
      const places = Array.from({ length: steps + 1 }, (_, i) =>
        turnedPlace(shape.axis, piece, from + ((to - from) * i) / steps, angle),
      );
      return places.slice(1).map((b, i): Detail => {
        const a = places[i];
        const on = {
          solid,
          face: -1,
          round: { number: surfaces[shaft[0] + p], normals: [a.normal, b.normal] as const },
        };
        const bend = piece.arc ? { bend: bendBetween(a.at, a.meridian, b.at, b.meridian) } : {};
        return { kind: "dressing", a: a.at, b: b.at, ...bend, on, item };
      });
    });
  });
}
