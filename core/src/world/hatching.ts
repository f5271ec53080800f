import type { Vec2 } from "../geometry";
import { shareOf } from "./resolution";

/** No area has more lines of a hatching in one direction than this. */
const MAX_LINES = 2000;
/** Shorter than this nothing is drawn, m. */
const LEAST = 1e-3;

/** A line of a hatching, and its place in it. */
export interface Hatch {
  readonly a: Vec2;
  readonly b: Vec2;
  readonly index: number;
}

/** The rings of an area: its rim and its holes. */
export type Rings = readonly (readonly Vec2[])[];

/** The places between 0 and 1 of a line at which it crosses the rings of an area, in their order. */
function crossings(rings: Rings, [ax, ay]: Vec2, [bx, by]: Vec2): number[] {
  const [dx, dy] = [bx - ax, by - ay];
  const side = ([x, y]: Vec2) => dx * (y - ay) - dy * (x - ax);
  return rings
    .flatMap((ring) =>
      ring.flatMap((p, i) => {
        const q = ring[(i + 1) % ring.length];
        const [s, t] = [side(p), side(q)];
        if (s <= 0 === t <= 0) return [];
        const k = s / (s - t);
        const [x, y] = [p[0] + k * (q[0] - p[0]), p[1] + k * (q[1] - p[1])];
        return [((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)];
      }),
    )
    .sort((s, t) => s - t);
}

/** The stretches of a line that lie within an area, even-odd. */
export function withinArea(rings: Rings, a: Vec2, b: Vec2): (readonly [Vec2, Vec2])[] {
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (long === 0) return [];
  const at = (k: number): Vec2 => [a[0] + k * (b[0] - a[0]), a[1] + k * (b[1] - a[1])];
  const all = crossings(rings, a, b);
  const out: (readonly [Vec2, Vec2])[] = [];
  for (let i = 0; i + 1 < all.length; i += 2) {
    const [from, to] = [Math.max(0, all[i]), Math.min(1, all[i + 1])];
    if ((to - from) * long > LEAST) out.push([at(from), at(to)]);
  }
  return out;
}

/** Lines along a direction of length 1, one every so many m, where they lie within an area. @param share of them */
export function hatched(rings: Rings, [ux, uy]: Vec2, every: number, share = 1): Hatch[] {
  const places = rings.flat();
  const off = places.map(([x, y]) => y * ux - x * uy);
  const along = places.map(([x, y]) => x * ux + y * uy);
  const [low, high] = [Math.min(...off), Math.max(...off)];
  const [from, to] = [Math.min(...along) - 1, Math.max(...along) + 1];
  const back = (s: number, t: number): Vec2 => [s * ux - t * uy, s * uy + t * ux];
  const out: Hatch[] = [];
  for (let k = Math.ceil((low + 1e-6) / every), n = 0; k * every < high - 1e-6 && n < MAX_LINES; k++, n++)
    for (const [a, b] of k % share === 0 ? withinArea(rings, back(from, k * every), back(to, k * every)) : [])
      out.push({ a, b, index: Math.abs(k) });
  return out;
}

/** How pieces are laid side by side, m: courses so high of pieces so long, each course moved on against the last. */
export interface Courses {
  readonly long: number;
  readonly high: number;
  /** By how much of a piece every second course is moved on. */
  readonly shift: number;
}

/**
 * The joints of courses along a direction of length 1, where they lie within an area.
 * @param leastLength those nearer together than this are left out, m
 */
export function coursed(rings: Rings, way: Vec2, { long, high, shift }: Courses, leastLength = 0): Hatch[] {
  const [ux, uy] = way;
  const back = (s: number, t: number): Vec2 => [s * ux - t * uy, s * uy + t * ux];
  const beds = high === Infinity ? [] : hatched(rings, way, high, shareOf(high, leastLength));
  if (high === Infinity) return hatched(rings, [-uy, ux], long, shareOf(long, leastLength));
  if (long === Infinity || Math.min(long, high) < leastLength) return beds;
  const places = rings.flat();
  const off = places.map(([x, y]) => y * ux - x * uy);
  const along = places.map(([x, y]) => x * ux + y * uy);
  const [left, right] = [Math.min(...along), Math.max(...along)];
  const [first, last] = [Math.floor(Math.min(...off) / high), Math.ceil(Math.max(...off) / high)];
  const joints: Hatch[] = [];
  for (let k = first; k < last; k++) {
    const moved = k % 2 === 0 ? 0 : shift * long;
    const [m0, m1] = [Math.floor((left - moved) / long), Math.ceil((right - moved) / long)];
    for (let m = m0; m <= m1; m++) {
      const s = m * long + moved;
      // A joint on the rim is none.
      if (s - left < LEAST || right - s < LEAST) continue;
      for (const [a, b] of withinArea(rings, back(s, k * high), back(s, (k + 1) * high)))
        joints.push({ a, b, index: Math.abs(k) });
    }
  }
  return [...beds, ...joints];
}

/** The joints of pieces twice as long as they are wide, laid in a herringbone across a direction of length 1. */
export function herringbone(rings: Rings, [ux, uy]: Vec2, wide: number): Hatch[] {
  // Turned by half a right angle, its pieces lie along two ways square to each other.
  const c = Math.SQRT1_2;
  const [vx, vy] = [c * (ux - uy), c * (ux + uy)];
  const back = (s: number, t: number): Vec2 => [s * vx - t * vy, s * vy + t * vx];
  const cells = rings.flat().map(([x, y]): Vec2 => [(x * vx + y * vy) / wide, (y * vx - x * vy) / wide]);
  const [is, js] = [0, 1].map((axis) => {
    const all = cells.map((p) => p[axis]);
    return [Math.floor(Math.min(...all)) - 2, Math.ceil(Math.max(...all)) + 2] as const;
  });
  const out: Hatch[] = [];
  for (let j = js[0]; j <= js[1]; j++)
    for (let i = is[0]; i <= is[1]; i++) {
      // Of four cells in a row, two are a lying piece, and each of the others is a half of a standing one.
      const kind = (((i - j) % 4) + 4) % 4;
      const edges: readonly (readonly [Vec2, Vec2])[] =
        kind === 0
          ? [
              [back(i * wide, j * wide), back((i + 2) * wide, j * wide)],
              [back(i * wide, j * wide), back(i * wide, (j + 1) * wide)],
            ]
          : kind === 3
            ? [
                [back(i * wide, j * wide), back(i * wide, (j + 2) * wide)],
                [back(i * wide, j * wide), back((i + 1) * wide, j * wide)],
              ]
            : [];
      for (const [p, q] of edges) for (const [a, b] of withinArea(rings, p, q)) out.push({ a, b, index: Math.abs(j) });
    }
  return out;
}
