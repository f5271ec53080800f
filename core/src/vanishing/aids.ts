import { degrees, type Vec2 } from "../geometry";
import type { Sheet } from "../scene";
import { offSheet } from "./pins";

type Paper = Pick<Sheet, "width" | "height">;

/** A ruler laid on both places of one number aims at the point. Heights in mm from the sheet's top edge. */
export interface EdgeTick {
  /** Counted from the level of the point: upwards positive. */
  readonly number: number;
  /** On the sheet's edge next to the point, and on the opposite one; null where the tick would lie off the sheet. */
  readonly near: number | null;
  readonly far: number | null;
  /** The line's slope, in degrees from level: rising to the right positive. For an adjustable set square. */
  readonly tilt: number;
}

/** Aids for one point beyond the left or right edge of the sheet. */
export interface OffPageAids {
  readonly side: "left" | "right";
  /** How far the point is beyond the edge, mm. */
  readonly distance: number;
  /** How high it is, mm from the sheet's top edge. */
  readonly level: number;
  /** Ticks every `near` mm on the edge next to the point, every `far` mm on the opposite one. */
  readonly spacing: { readonly near: number; readonly far: number };
  readonly ticks: readonly EdgeTick[];
  /** Null where the sheet has no room for both pegs. */
  readonly centrolinead: Centrolinead | null;
}

/** Two pegs on the sheet's edge, above and below the level of the point, and the legs' angle to the ruler. */
export interface Centrolinead {
  /** Pegs this far above and below, mm. */
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

/** Ticks farther apart than a mm, and no more of them than one cares to number. */
const MOST_TICKS = 200;

/**
 * Aids for reaching a point off the sheet: numbered edge ticks and their tilts, and a centrolinead's setting. With the
 * point at D beyond one edge of a sheet W wide, ticks every s on that edge belong to ticks every s (D + W) / D on the
 * other: similar triangles.
 * @param spacing mm between ticks on the edge next to the point
 * @returns null for a point that is not beyond the left or right edge
 */
export function offPageAids(sheet: Paper, [x, y]: Vec2, spacing: number): OffPageAids | null {
  const off = offSheet(sheet, x, y);
  if (off?.side !== "left" && off?.side !== "right") return null;
  const { side, distance } = off;
  const far = (spacing * (distance + sheet.width)) / distance;
  const reach = Math.min(MOST_TICKS, Math.ceil(Math.max(Math.abs(y), Math.abs(sheet.height - y)) / spacing));
  const on = (height: number) => (height >= -1e-9 && height <= sheet.height + 1e-9 ? height : null);
  const ticks: EdgeTick[] = [];
  for (let number = reach; number >= -reach; number--) {
    const tick = { number, near: on(y - number * spacing), far: on(y - number * far) };
    const rise = degrees(Math.atan2(number * spacing, distance));
    if (tick.near !== null || tick.far !== null) ticks.push({ ...tick, tilt: side === "left" ? rise : -rise });
  }
  const pegs = Math.min(Math.floor(Math.min(y, sheet.height - y) / 10) * 10, 150);
  return {
    side,
    distance,
    level: y,
    spacing: { near: spacing, far },
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
