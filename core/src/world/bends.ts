import { distance2, type Interval, type Vec2 } from "../geometry";
import { beside, ribbon } from "./path";
import { crossingOf } from "./polygon";

/** A line beside a path may lie nearer to it by so much, m. */
const NEARER = 1e-4;
/** The tangent of the angle that counts as askew. */
const ASKEW = 1e-6;
/** Parts of a line shorter than this share of a side of it are none. */
const SHORT = 1e-9;

/** Whether a line beside a path runs along each part of it, and nowhere backwards or askew. */
const followsAll = (path: readonly Vec2[], by: number): boolean => {
  const moved = beside(path, by);
  return path.slice(1).every(([x, y], i) => {
    const [[px, py], [mx, my], [nx, ny]] = [path[i], moved[i], moved[i + 1]];
    const along = (x - px) * (nx - mx) + (y - py) * (ny - my);
    const aside = (x - px) * (ny - my) - (y - py) * (nx - mx);
    return along > 0 && Math.abs(aside) <= ASKEW * along;
  });
};

/** Whether a path bends too sharply for the ribbon between two lines beside it, or crosses itself. */
export const isTangledBetween = (path: readonly Vec2[], from: number, to: number): boolean =>
  path.length > 1 && (!followsAll(path, from) || !followsAll(path, to) || crossingOf(ribbon(path, from, to)) !== null);

const ALWAYS: Interval = [-Infinity, Infinity];

/** Where c + t k is more than nothing; null where it never is. */
const above = (c: number, k: number): Interval | null =>
  k === 0 ? (c > 0 ? ALWAYS : null) : k > 0 ? [-c / k, Infinity] : [-Infinity, -c / k];

/** From where to where on p + t u it is nearer to a place than so far; null where it never is. */
function nearPlace([px, py]: Vec2, [ux, uy]: Vec2, [ax, ay]: Vec2, distance: number): Interval | null {
  const [x, y] = [px - ax, py - ay];
  const [a, b, c] = [ux * ux + uy * uy, x * ux + y * uy, x * x + y * y - distance * distance];
  const root = b * b - a * c;
  return root > 0 ? [(-b - Math.sqrt(root)) / a, (-b + Math.sqrt(root)) / a] : null;
}

/** From where to where on p + t u it lies square beside a straight stretch, and nearer than so far; or null. */
function nearSquare([px, py]: Vec2, [ux, uy]: Vec2, a: Vec2, b: Vec2, distance: number): Interval | null {
  const long = distance2(a, b);
  const [ex, ey] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long];
  const [s, ds] = [(px - a[0]) * ex + (py - a[1]) * ey, ux * ex + uy * ey];
  const [h, dh] = [(px - a[0]) * ey - (py - a[1]) * ex, ux * ey - uy * ex];
  const limits = [above(s, ds), above(long - s, -ds), above(distance - h, -dh), above(distance + h, dh)];
  if (limits.some((one) => one === null)) return null;
  const from = Math.max(...limits.map((one) => one![0]));
  const to = Math.min(...limits.map((one) => one![1]));
  return from < to ? [from, to] : null;
}

/** What is nearer to a stretch than so far is convex: of a line, one part from end to end. */
function nearStretch(p: Vec2, u: Vec2, a: Vec2, b: Vec2, distance: number): Interval[] {
  const parts = [nearPlace(p, u, a, distance), nearPlace(p, u, b, distance), nearSquare(p, u, a, b, distance)].flatMap(
    (one) => (one ? [one] : []),
  );
  return parts.length ? [[Math.min(...parts.map(([from]) => from)), Math.max(...parts.map(([, to]) => to))]] : [];
}

/** What of 0 to 1 lies in none of some intervals. */
function outsideOf(intervals: readonly Interval[]): Interval[] {
  const out: Interval[] = [];
  let from = 0;
  for (const [start, end] of [...intervals, [1, 1] as const].sort((a, b) => a[0] - b[0])) {
    const to = Math.min(1, start);
    if (to - from > SHORT) out.push([from, to]);
    from = Math.max(from, end);
  }
  return out;
}

/** The parts of a line that are nowhere nearer to a path than so many m, each from end to end. */
export function partsClearOf(line: readonly Vec2[], path: readonly Vec2[], distance: number): Vec2[][] {
  const out: Vec2[][] = [];
  let goesOn = false;
  line.slice(1).forEach((q, i) => {
    const p = line[i];
    const u: Vec2 = [q[0] - p[0], q[1] - p[1]];
    const at = (t: number): Vec2 => (t === 0 ? p : t === 1 ? q : [p[0] + t * u[0], p[1] + t * u[1]]);
    const clear = outsideOf(path.slice(1).flatMap((b, k) => nearStretch(p, u, path[k], b, distance)));
    for (const [from, to] of clear) {
      if (goesOn && from === 0) out[out.length - 1].push(at(to));
      else out.push([at(from), at(to)]);
    }
    goesOn = clear.at(-1)?.[1] === 1;
  });
  return out;
}

/** A path moved to its right, m, each part by itself; where it turns by more than 120 degrees, around the corner. */
function aroundCorners(path: readonly Vec2[], by: number): Vec2[] {
  const ways = path.slice(1).map(([x, y], i): Vec2 => {
    const long = distance2(path[i], [x, y]);
    return [(x - path[i][0]) / long, (y - path[i][1]) / long];
  });
  const mitred = beside(path, by);
  return path.flatMap(([x, y], i): Vec2[] => {
    const [u, v] = [ways[i - 1], ways[i]];
    if (!u || !v || u[0] * v[0] + u[1] * v[1] >= -0.5) return [mitred[i]];
    const reach = Math.abs(by);
    return [
      [x + by * u[1] + reach * u[0], y - by * u[0] + reach * u[1]],
      [x + by * v[1] - reach * v[0], y - by * v[0] - reach * v[1]],
    ];
  });
}

/**
 * The parts of a line beside a path, m to its right, that are nowhere nearer to the path than that: where it bends too
 * sharply for the line, or crosses itself, the rest is left out.
 */
export const clearBeside = (path: readonly Vec2[], by: number): readonly (readonly Vec2[])[] =>
  Math.abs(by) <= NEARER ? [path] : partsClearOf(aroundCorners(path, by), path, Math.abs(by) - NEARER);
