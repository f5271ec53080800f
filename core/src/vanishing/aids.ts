import { degrees, type Rect, type Vec2 } from "../geometry";
import type { Sheet } from "../scene";
import { offSheet } from "./pins";

type Paper = Pick<Sheet, "width" | "height">;

/** An edge of the sheet. */
export type Edge = "left" | "right" | "top" | "bottom";

/** A place on an edge: mm from the sheet's top on its left and right edge, from its left on its top and bottom. */
export interface EdgeMark {
  readonly edge: Edge;
  readonly at: number;
}

/** A ruler laid on both places of one number aims at the point. */
export interface EdgeTick {
  /** Counted from the level of the point: upwards positive; from its plumb line to the right for one above or below. */
  readonly number: number;
  /**
   * On the sheet's edge next to the point, and on the opposite one, mm; null where the tick would lie off the sheet.
   */
  readonly near: number | null;
  readonly far: number | null;
  /** Where its line crosses other edges instead. */
  readonly others: readonly EdgeMark[];
  /**
   * The line's slope in degrees, for an adjustable set square: from level, rising to the right positive; for a point
   * above or below from upright, leaning to the right positive.
   */
  readonly tilt: number;
}

/** Aids for one point beyond an edge of the sheet. */
export interface OffPageAids {
  readonly side: Edge;
  /** How far the point is beyond the edge, mm. */
  readonly distance: number;
  /** Where it is along the edge: mm from the sheet's top, or from its left for a point above or below. */
  readonly level: number;
  /** Ticks every `near` mm on the edge next to the point, every `far` mm on the opposite one. */
  readonly spacing: { readonly near: number; readonly far: number };
  readonly ticks: readonly EdgeTick[];
  /** Null where the sheet has no room for both pegs. */
  readonly centrolinead: Centrolinead | null;
}

/** Two pegs on the sheet's edge, to both sides of the point's level, and the legs' angle to the ruler. */
export interface Centrolinead {
  /** Pegs this far to either side, mm. */
  readonly pegs: number;
  /** Degrees between each leg and the ruler. */
  readonly angle: number;
}

/**
 * The setting of a centrolinead for a point at a distance from the line of its pegs (Nicholson, 1814 (from memory)).
 */
export const centrolinead = (distance: number, pegs: number): Centrolinead => ({
  pegs,
  angle: degrees(Math.atan2(distance, pegs)),
});

/** Pegs nearer to the point's level than this (mm) guide nothing. */
const LEAST_PEGS = 20;

/** No more ticks than these to either side of the point's level. */
const MOST_TICKS = 200;
/** What lies so little off an edge (mm) lies on it. */
const ON = 1e-9;

const OPPOSITE: Readonly<Record<Edge, Edge>> = { left: "right", right: "left", top: "bottom", bottom: "top" };
export const oppositeOf = (edge: Edge): Edge => OPPOSITE[edge];
/** Whether a point beyond an edge is reached by level lines, and its ticks stand on the sheet's left and right. */
export const isSideways = (edge: Edge): boolean => edge === "left" || edge === "right";

/** Where an edge of a rectangle lies: across the lines that it is crossed by. */
const lineOf = ({ x, y, width, height }: Rect, edge: Edge): number =>
  ({ left: x, right: x + width, top: y, bottom: y + height })[edge];

/** Where a line from a point through another crosses the edges of a rectangle. */
export function crossings(rect: Rect, [px, py]: Vec2, [qx, qy]: Vec2): readonly EdgeMark[] {
  const { x, y, width, height } = rect;
  const [dx, dy] = [qx - px, qy - py];
  return (["left", "right", "top", "bottom"] as const).flatMap((edge): EdgeMark[] => {
    const [along, from, start, size] = isSideways(edge)
      ? [dy / dx, py - (px * dy) / dx, y, height]
      : [dx / dy, px - (py * dx) / dy, x, width];
    const at = from + along * lineOf(rect, edge);
    return at >= start - ON && at <= start + size + ON ? [{ edge, at }] : [];
  });
}

/** The place of the desk at a number of a point's ticks, on the sheet's edge next to it. */
export function tickPlace(sheet: Paper, [x, y]: Vec2, side: Edge, spacing: number, number: number): Vec2 {
  const edge = lineOf({ x: 0, y: 0, ...sheet }, side);
  return isSideways(side) ? [edge, y - number * spacing] : [x + number * spacing, edge];
}

/** The first and the last number whose line from a point crosses the sheet. */
function numbersOn(sheet: Paper, [x, y]: Vec2, side: Edge, spacing: number): readonly [number, number] {
  const edge = lineOf({ x: 0, y: 0, ...sheet }, side);
  const numbers = [0, sheet.width].flatMap((cx) =>
    [0, sheet.height].map((cy) => {
      const [along, far, near] = isSideways(side) ? [y - cy, cx - x, edge - x] : [cx - x, cy - y, edge - y];
      return (along * near) / far / spacing;
    }),
  );
  const [first, last] = [Math.ceil(Math.min(...numbers) - ON), Math.floor(Math.max(...numbers) + ON)];
  if (last - first <= 2 * MOST_TICKS) return [first, last];
  // Of too many, those next to the point's level.
  const middle = Math.min(Math.max(0, first + MOST_TICKS), last - MOST_TICKS);
  return [middle - MOST_TICKS, middle + MOST_TICKS];
}

/**
 * Aids for reaching a point off the sheet: numbered edge ticks and their tilts, and a centrolinead's setting. With the
 * point at D beyond one edge of a sheet W wide, ticks every s on that edge belong to ticks every s (D + W) / D on the
 * other: similar triangles.
 * @param spacing mm between ticks on the edge next to the point
 * @returns null for a point on the sheet
 */
export function offPageAids(sheet: Paper, point: Vec2, spacing: number): OffPageAids | null {
  const off = offSheet(sheet, ...point);
  if (!off) return null;
  const { side, distance } = off;
  const [level, size, depth] = isSideways(side)
    ? [point[1], sheet.height, sheet.width]
    : [point[0], sheet.width, sheet.height];
  const [first, last] = numbersOn(sheet, point, side, spacing);
  const ticks: EdgeTick[] = [];
  for (let number = last; number >= first; number--) {
    const marks = crossings({ x: 0, y: 0, ...sheet }, point, tickPlace(sheet, point, side, spacing, number));
    const on = (edge: Edge) => marks.find((mark) => mark.edge === edge)?.at ?? null;
    const [near, far] = [on(side), on(OPPOSITE[side])];
    const lean = degrees(Math.atan2(number * spacing, distance));
    ticks.push({
      number,
      near,
      far,
      others: near !== null && far !== null ? [] : marks.filter(({ edge }) => isSideways(edge) !== isSideways(side)),
      tilt: side === "left" || side === "bottom" ? lean : -lean,
    });
  }
  const pegs = Math.min(Math.floor(Math.min(level, size - level) / 10) * 10, 150);
  return {
    side,
    distance,
    level,
    spacing: { near: spacing, far: (spacing * (distance + depth)) / distance },
    ticks,
    centrolinead: pegs >= LEAST_PEGS ? centrolinead(distance, pegs) : null,
  };
}

/** The whole desk drawn smaller on one sheet: 1 : `factor`, with every place in mm from the sheet's top left corner. */
export interface ScaledSetUp {
  readonly factor: number;
  readonly sheet: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  readonly pins: readonly Vec2[];
}

/**
 * The sheet and its pins at the largest whole scale at which all of them lie on one sheet, `margin` mm inside its
 * edges.
 */
export function scaledSetUp(sheet: Paper, pins: readonly Vec2[], margin = 10): ScaledSetUp {
  const all: Vec2[] = [[0, 0], [sheet.width, sheet.height], ...pins];
  const [xs, ys] = [all.map((p) => p[0]), all.map((p) => p[1])];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [wide, tall] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const factor = Math.max(
    1,
    Math.ceil(Math.max(wide / (sheet.width - 2 * margin), tall / (sheet.height - 2 * margin))),
  );
  const place = ([x, y]: Vec2): Vec2 => [
    (sheet.width - wide / factor) / 2 + (x - left) / factor,
    (sheet.height - tall / factor) / 2 + (y - top) / factor,
  ];
  const [x, y] = place([0, 0]);
  return { factor, sheet: { x, y, width: sheet.width / factor, height: sheet.height / factor }, pins: pins.map(place) };
}
