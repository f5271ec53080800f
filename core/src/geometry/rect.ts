import type { Vec2 } from "./vec";

/** An upright rectangle on the sheet, in mm, from its top left corner. */
export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export const middle = (r: Rect): Vec2 => [r.x + r.width / 2, r.y + r.height / 2];

export const contains = (r: Rect, [x, y]: Vec2): boolean =>
  x >= r.x && x <= r.x + r.width && y >= r.y && y <= r.y + r.height;

/** Corners clockwise from the top left. */
export const corners = (r: Rect): readonly [Vec2, Vec2, Vec2, Vec2] => [
  [r.x, r.y],
  [r.x + r.width, r.y],
  [r.x + r.width, r.y + r.height],
  [r.x, r.y + r.height],
];

/** The rectangle that holds both, grown by `pad` on every side. */
export function around(points: readonly Vec2[], pad = 0): Rect {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of points) [x0, y0, x1, y1] = [Math.min(x0, x), Math.min(y0, y), Math.max(x1, x), Math.max(y1, y)];
  return { x: x0 - pad, y: y0 - pad, width: x1 - x0 + 2 * pad, height: y1 - y0 + 2 * pad };
}

/**
 * The part of p + t d that lies inside the rectangle, as [t0, t1] within the given range, or null.
 * Liang and Barsky, "A new concept and method for line clipping", ACM TOG 3 (1984) (from memory).
 */
export function clipToRect(
  [px, py]: Vec2,
  [dx, dy]: Vec2,
  rect: Rect,
  range: readonly [number, number] = [-Infinity, Infinity],
): [number, number] | null {
  let [t0, t1] = range;
  const sides = [
    [-dx, px - rect.x],
    [dx, rect.x + rect.width - px],
    [-dy, py - rect.y],
    [dy, rect.y + rect.height - py],
  ];
  for (const [rate, room] of sides) {
    if (rate === 0) {
      if (room < 0) return null;
    } else if (rate < 0) t0 = Math.max(t0, room / rate);
    else t1 = Math.min(t1, room / rate);
  }
  return t0 < t1 ? [t0, t1] : null;
}
