import { distance2, fromStretch, type Vec2 } from "../geometry";
import { bentPath, smoothPath } from "./curves";

/** A mitre never reaches farther than this many times the offset. */
const SHARP = 4;

interface Lined {
  readonly path: readonly { readonly x: number; readonly y: number }[];
  /** The radius around which it turns at its corners, m. */
  readonly bend?: number;
  /** Whether it runs through its places in one curve instead. */
  readonly smooth?: boolean;
}

/** The middle line of what lies along a path, none of its places on the one before it. */
export function pathOf({ path, bend = 0, smooth }: Lined): readonly Vec2[] {
  const corners = path
    .map(({ x, y }): Vec2 => [x, y])
    .filter((p, i, all) => i === 0 || distance2(p, all[i - 1]) > 1e-3);
  return smooth ? smoothPath(corners) : bentPath(corners, bend);
}

/** How long a path is, m. */
export const lengthOf = (path: readonly Vec2[]): number =>
  path.slice(1).reduce((sum, p, i) => sum + distance2(p, path[i]), 0);

/** A path moved to its right (to its left where negative), its corners mitred, m. */
export function beside(path: readonly Vec2[], by: number): Vec2[] {
  const way = (i: number): Vec2 => {
    const [p, q] = [path[i], path[i + 1]];
    const long = distance2(p, q) || 1;
    return [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  };
  return path.map(([x, y], i) => {
    const [u, v] = [way(Math.max(0, i - 1)), way(Math.min(path.length - 2, i))];
    const k = by / Math.max(1 / SHARP, (1 + u[0] * v[0] + u[1] * v[1]) / 2) / 2;
    return [x + k * (u[1] + v[1]), y - k * (u[0] + v[0])];
  });
}

/** The ground between two lines beside a path, m to its right, counter-clockwise; nothing for a path of one place. */
export function ribbon(path: readonly Vec2[], from: number, to: number): Vec2[] {
  return path.length < 2
    ? [...path]
    : [...beside(path, Math.max(from, to)), ...beside(path, Math.min(from, to)).reverse()];
}

/** A place so many m along a path and aside of it, to the right; null beyond its ends. */
export function placeAlong(path: readonly Vec2[], s: number, aside: number): Vec2 | null {
  let left = s;
  for (let i = 0; i + 1 < path.length; i++) {
    const [p, q] = [path[i], path[i + 1]];
    const long = distance2(p, q);
    if (left <= long) {
      const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
      return [p[0] + left * ux + aside * uy, p[1] + left * uy - aside * ux];
    }
    left -= long;
  }
  return null;
}

/** The part of a path from so many m along it to so many m; nothing where it has none. */
export function stretch(path: readonly Vec2[], from: number, to: number): Vec2[] {
  const [a, b] = [Math.max(0, from), Math.min(lengthOf(path), to)];
  const [first, last] = [placeAlong(path, a, 0), placeAlong(path, b, 0)];
  if (!first || b - a < 1e-3) return [];
  let s = 0;
  const between = path.filter((p, i) => {
    if (i > 0) s += distance2(p, path[i - 1]);
    return s > a + 1e-6 && s < b - 1e-6;
  });
  // Rounding may take the end of the whole path beyond it.
  return [first, ...between, last ?? path[path.length - 1]];
}

/** A path that reaches so many m farther at both ends. */
export function lengthened(path: readonly Vec2[], by: number): Vec2[] {
  const beyond = ([x, y]: Vec2, [px, py]: Vec2): Vec2 => {
    const long = distance2([x, y], [px, py]);
    return [x + ((x - px) * by) / long, y + ((y - py) * by) / long];
  };
  const last = path.length - 1;
  return [beyond(path[0], path[1]), ...path.slice(1, last), beyond(path[last], path[last - 1])];
}

/** How far a place lies from something's path, m. */
export function offPath(lined: Lined, at: Vec2): number {
  const path = pathOf(lined);
  return path.slice(1).reduce((least, q, i) => Math.min(least, fromStretch(at, path[i], q)), Infinity);
}

/** The place of a line that is nearest to another place. */
export interface Foot {
  readonly foot: Vec2;
  /** How far it is from there, and how far along the line it lies, m. */
  readonly off: number;
  readonly along: number;
  /** The corner of the line that it lies behind. */
  readonly after: number;
}

/** The place of a line that is nearest to another place. */
export function footOn(at: Vec2, line: readonly Vec2[]): Foot {
  let best: Foot = { foot: line[0], off: Infinity, along: 0, after: 0 };
  let passed = 0;
  line.slice(1).forEach((q, i) => {
    const p = line[i];
    const long = distance2(p, q);
    const [ux, uy] = [q[0] - p[0], q[1] - p[1]];
    const t = Math.max(0, Math.min(1, ((at[0] - p[0]) * ux + (at[1] - p[1]) * uy) / (long * long || 1)));
    const foot: Vec2 = [p[0] + t * ux, p[1] + t * uy];
    const off = distance2(at, foot);
    if (off < best.off) best = { foot, off, along: passed + t * long, after: i };
    passed += long;
  });
  return best;
}

/** Where the line through p and q crosses the one through a and b: as shares of both stretches; null if parallel. */
export function crossingAt(
  [px, py]: Vec2,
  [qx, qy]: Vec2,
  [ax, ay]: Vec2,
  [bx, by]: Vec2,
): readonly [onFirst: number, onSecond: number] | null {
  const [ux, uy, vx, vy] = [qx - px, qy - py, bx - ax, by - ay];
  const det = ux * vy - uy * vx;
  if (Math.abs(det) < 1e-12 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) return null;
  return [((ax - px) * vy - (ay - py) * vx) / det, ((ax - px) * uy - (ay - py) * ux) / det];
}

/** The place at a share of a stretch. */
export const atShare = ([px, py]: Vec2, [qx, qy]: Vec2, t: number): Vec2 => [px + t * (qx - px), py + t * (qy - py)];
