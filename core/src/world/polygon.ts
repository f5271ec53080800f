import { orient2d } from "robust-predicates";
import { fromStretch, type Vec2 } from "../geometry";

/** Twice the signed area of a polygon, positive counter-clockwise. */
export const areaTwice = (points: readonly Vec2[]): number =>
  points.reduce((sum, [x, y], i) => {
    const [u, v] = points[(i + 1) % points.length];
    return sum + x * v - u * y;
  }, 0);

/**
 * The same polygon, counter-clockwise, without corners that lie on one another or on the line between their
 * neighbours.
 */
export function tidy(points: readonly Vec2[]): readonly Vec2[] {
  const distinct = points.filter(([x, y], i) => {
    const [u, v] = points[(i + points.length - 1) % points.length];
    return Math.hypot(x - u, y - v) > 1e-4;
  });
  const bent = distinct.filter(([x, y], i) => {
    const [[ax, ay], [bx, by]] = [
      distinct[(i + distinct.length - 1) % distinct.length],
      distinct[(i + 1) % distinct.length],
    ];
    return Math.abs((x - ax) * (by - ay) - (y - ay) * (bx - ax)) > 1e-6 * Math.hypot(bx - ax, by - ay);
  });
  return areaTwice(bent) < 0 ? [...bent].reverse() : bent;
}

/** Whether two stretches cross each other away from their ends; on which side a place lies is told exactly. */
function cross([a, b]: readonly [Vec2, Vec2], [c, d]: readonly [Vec2, Vec2]): boolean {
  const side = (p: Vec2, q: Vec2, r: Vec2) => Math.sign(orient2d(p[0], p[1], q[0], q[1], r[0], r[1]));
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** Whether the sides of two rings keep some distance from each other, m. */
export function areClear(one: readonly Vec2[], other: readonly Vec2[], gap: number): boolean {
  const sides = (ring: readonly Vec2[]) => ring.map((p, i) => [p, ring[(i + 1) % ring.length]] as const);
  const apart = ([a, b]: readonly [Vec2, Vec2], [c, d]: readonly [Vec2, Vec2]) =>
    [0, 1].some(
      (k) => Math.min(a[k], b[k]) > Math.max(c[k], d[k]) + gap || Math.min(c[k], d[k]) > Math.max(a[k], b[k]) + gap,
    );
  const clear = (s: readonly [Vec2, Vec2], t: readonly [Vec2, Vec2]) =>
    !cross(s, t) && Math.min(fromStretch(s[0], ...t), fromStretch(t[0], ...s)) >= gap;
  const others = sides(other);
  return sides(one).every((s) => others.every((t) => apart(s, t) || clear(s, t)));
}

/** Where a polygon crosses itself, as the numbers of two of its sides; null where it does not. */
export function crossingOf(points: readonly Vec2[]): readonly [number, number] | null {
  const side = (i: number) => [points[i], points[(i + 1) % points.length]] as const;
  // Sides in order of where they begin from the left: only those that overlap there are compared.
  const order = [...points.keys()].sort(
    (i, k) => Math.min(side(i)[0][0], side(i)[1][0]) - Math.min(side(k)[0][0], side(k)[1][0]),
  );
  for (let n = 0; n < order.length; n++) {
    const one = side(order[n]);
    const end = Math.max(one[0][0], one[1][0]);
    for (let m = n + 1; m < order.length; m++) {
      const other = side(order[m]);
      if (Math.min(other[0][0], other[1][0]) > end) break;
      if (cross(one, other)) return [order[n], order[m]];
    }
  }
  return null;
}

/** A polygon with each side moved inwards, m; null where it would turn itself inside out. */
export function inset(points: readonly Vec2[], by: number): readonly Vec2[] | null {
  const n = points.length;
  const out = points.map((p, i): Vec2 => {
    const [a, b] = [points[(i + n - 1) % n], points[(i + 1) % n]];
    const [u, v] = [
      [p[0] - a[0], p[1] - a[1]],
      [b[0] - p[0], b[1] - p[1]],
    ].map(([x, y]) => [x / Math.hypot(x, y), y / Math.hypot(x, y)]);
    // Both sides' inward normals, and the mitre where the moved sides cross.
    const turn = 1 + u[0] * v[0] + u[1] * v[1];
    const k = by / Math.max(turn, 1e-6);
    return [p[0] + k * (-u[1] - v[1]), p[1] + k * (u[0] + v[0])];
  });
  const kept = out.every((p, i) => {
    const [q, a, b] = [out[(i + 1) % n], points[i], points[(i + 1) % n]];
    return (q[0] - p[0]) * (b[0] - a[0]) + (q[1] - p[1]) * (b[1] - a[1]) > 0;
  });
  return kept && areaTwice(out) > 0 && !crossingOf(out) ? out : null;
}

/** The middle of a polygon's area. */
export function centroid(points: readonly Vec2[]): Vec2 {
  const twice = areaTwice(points);
  const [ox, oy] = points[0];
  let [x, y] = [0, 0];
  points.forEach(([px, py], i) => {
    const [qx, qy] = points[(i + 1) % points.length];
    const k = (px - ox) * (qy - oy) - (qx - ox) * (py - oy);
    x += k * (px + qx - 2 * ox);
    y += k * (py + qy - 2 * oy);
  });
  return [ox + x / (3 * twice), oy + y / (3 * twice)];
}

/** Whether a polygon turns one way only. */
export const isConvex = (points: readonly Vec2[]): boolean =>
  points.every(([x, y], i) => {
    const [[u, v], [p, q]] = [points[(i + 1) % points.length], points[(i + 2) % points.length]];
    return (u - x) * (q - v) - (v - y) * (p - u) >= -1e-9;
  });

/** Whether a polygon is a rectangle, to a tenth of a degree. */
export const isRectangle = (points: readonly Vec2[]): boolean =>
  points.length === 4 &&
  points.every((p, i) => {
    const [a, b] = [points[(i + 3) % 4], points[(i + 1) % 4]];
    const [ux, uy, vx, vy] = [a[0] - p[0], a[1] - p[1], b[0] - p[0], b[1] - p[1]];
    return Math.abs(ux * vx + uy * vy) < 0.00175 * Math.hypot(ux, uy) * Math.hypot(vx, vy);
  });

/** The way of a polygon's longest side, of length 1; of sides as long, the first's. */
export function longestSide(points: readonly Vec2[]): Vec2 {
  const sides = points.map(([x, y], i): Vec2 => [
    points[(i + 1) % points.length][0] - x,
    points[(i + 1) % points.length][1] - y,
  ]);
  const [dx, dy] = sides.reduce((long, side) => (Math.hypot(...side) > Math.hypot(...long) + 1e-9 ? side : long));
  const size = Math.hypot(dx, dy) || 1;
  return [dx / size, dy / size];
}

/** A side of a polygon: where it begins, how long it is, and its way, of length 1. */
export function sideOf(
  points: readonly Vec2[],
  i: number,
): { readonly p: Vec2; readonly long: number; readonly u: Vec2 } {
  const [p, q] = [points[i], points[(i + 1) % points.length]];
  const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
  return { p, long, u: [(q[0] - p[0]) / long, (q[1] - p[1]) / long] };
}

/** A circle's corners on the plan. */
export const circle = ([x, y]: Vec2, radius: number, n = 32): Vec2[] =>
  Array.from({ length: n }, (_, i) => [
    x + radius * Math.cos((2 * Math.PI * i) / n),
    y + radius * Math.sin((2 * Math.PI * i) / n),
  ]);

/** Whether a place lies in a ring, by the even-odd rule. */
export function isWithin([px, py]: Vec2, ring: readonly Vec2[]): boolean {
  let inside = false;
  ring.forEach(([x, y], i) => {
    const [u, v] = ring[(i + ring.length - 1) % ring.length];
    if (y > py !== v > py && px < ((u - x) * (py - y)) / (v - y) + x) inside = !inside;
  });
  return inside;
}

/** Whether a place is within a ring that may cross itself: whether the ring winds around it at all. */
export function isWoundAround([px, py]: Vec2, ring: readonly Vec2[]): boolean {
  let turns = 0;
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length];
    if (a[1] <= py === b[1] <= py) return;
    const left = orient2d(a[0], a[1], b[0], b[1], px, py) < 0;
    if (b[1] > a[1] === left) turns += b[1] > a[1] ? 1 : -1;
  });
  return turns !== 0;
}

/** The box around places of the plan: its least and greatest coordinates. */
export type PlanBox = readonly [x0: number, y0: number, x1: number, y1: number];

export function boxOnPlan(places: readonly Vec2[], by = 0): PlanBox {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of places) {
    [x0, y0] = [Math.min(x0, x), Math.min(y0, y)];
    [x1, y1] = [Math.max(x1, x), Math.max(y1, y)];
  }
  return [x0 - by, y0 - by, x1 + by, y1 + by];
}

/** The corners of a box of the plan, counter-clockwise. */
export const cornersOfBox = ([x0, y0, x1, y1]: PlanBox): readonly Vec2[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

export const isInBox = ([x, y]: Vec2, [x0, y0, x1, y1]: PlanBox): boolean => x >= x0 && x <= x1 && y >= y0 && y <= y1;

/** How far a place is from a box of the plan, m: 0 within it. */
export const distanceToBox = ([x, y]: Vec2, [x0, y0, x1, y1]: PlanBox): number =>
  Math.hypot(Math.max(x0 - x, 0, x - x1), Math.max(y0 - y, 0, y - y1));

export const boxesMeet = (a: PlanBox, b: PlanBox): boolean =>
  a[0] <= b[2] && b[0] <= a[2] && a[1] <= b[3] && b[1] <= a[3];

/** The convex hull of some places, counter-clockwise (Andrew's monotone chain). */
export function convexHull(places: readonly Vec2[]): readonly Vec2[] {
  const sorted = [...places].sort((p, q) => p[0] - q[0] || p[1] - q[1]);
  const chain = (all: readonly Vec2[]): Vec2[] => {
    const out: Vec2[] = [];
    for (const p of all) {
      for (; out.length > 1; out.pop()) {
        const [a, b] = [out[out.length - 2], out[out.length - 1]];
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 1e-12) break;
      }
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...chain(sorted), ...chain(sorted.reverse())];
}
