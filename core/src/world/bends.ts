import { distance2, type Vec2 } from "../geometry";
import { alongPath, areasOf, nearTo, outside, rightWayRound, type Region } from "./areas";
import { beside, ribbon } from "./path";
import { areaTwice, crossingOf } from "./polygon";
import type { Area } from "./triangles";

/** A line beside a path may lie nearer to it by so much, m. */
const NEARER = 1e-4;
/** The tangent of the angle that counts as askew. */
const ASKEW = 1e-6;

/** Whether a line beside a path runs along each part of it, and nowhere backwards or askew. */
const followsAll = (path: readonly Vec2[], by: number): boolean => {
  const moved = beside(path, by);
  return path.slice(1).every(([x, y], i) => {
    const [[px, py], [mx, my], [nx, ny]] = [path[i], moved[i], moved[i + 1]];
    const [along, aside] = [(x - px) * (nx - mx) + (y - py) * (ny - my), (x - px) * (ny - my) - (y - py) * (nx - mx)];
    return along > 0 && Math.abs(aside) <= ASKEW * along;
  });
};

/** Whether a path bends too sharply for the ribbon between two lines beside it, or crosses itself. */
export const isTangledBetween = (path: readonly Vec2[], from: number, to: number): boolean =>
  path.length > 1 && (!followsAll(path, from) || !followsAll(path, to) || crossingOf(ribbon(path, from, to)) !== null);

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
  Math.abs(by) <= NEARER ? [path] : outside(aroundCorners(path, by), nearTo(path, Math.abs(by) - NEARER));

/** The largest area of a region, its holes counter-clockwise. */
function largestOf(region: Region): Area {
  const { outer, holes } = areasOf(region).reduce((most, one) =>
    areaTwice(one.outer) > areaTwice(most.outer) ? one : most,
  );
  return { outer, holes: holes.map((hole) => [...hole].reverse()) };
}

/**
 * The ground between two lines beside a path, m to its right, with what a path that closes on itself goes around:
 * holes counter-clockwise.
 */
export function groundBetween(path: readonly Vec2[], from: number, to: number): Area {
  const ring = ribbon(path, from, to);
  if (!isTangledBetween(path, from, to)) return { outer: ring, holes: [] };
  return largestOf(from === -to ? alongPath(path, Math.abs(from)) : rightWayRound(ring));
}
