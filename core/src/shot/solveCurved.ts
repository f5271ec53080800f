import { Matrix, solve as solveLinear } from "ml-matrix";
import { cross, distance2, dot, middle, type Vec2, type Vec3 } from "../geometry";
import { LAWS, type LawId } from "../lens";
import { NoAnswer } from "../problem";
import { mm, sentence } from "../units";
import { onLevel, orthocentre, posed, requireDistinct, solvePins, upward, type Solved } from "./solve";

/** Picture distances are sought from a hundredth of the pins' reach to a hundred times it, in so many steps. */
const STEPS = 4000;
const SPAN = 100;
/** Cosine of the angle between two directions below which it counts as right. */
const SQUARE = 1e-12;

/** The direction that a lens shows at a sheet point, in right-handed eye axes: right, up, backward. */
function axis(law: LawId, [x, y]: Vec2, [cx, cy]: Vec2, distance: number): Vec3 {
  const [a, b, c] = LAWS[law].unproject([(x - cx) / distance, (cy - y) / distance]);
  return [a, b, -c];
}

/** Whether a lens has a sheet point in its picture, and not beyond the edge of what it shows. */
function shows(law: LawId, [x, y]: Vec2, [cx, cy]: Vec2, distance: number): boolean {
  const point: Vec2 = [(x - cx) / distance, (cy - y) / distance];
  const again = LAWS[law].project(LAWS[law].unproject(point));
  return again !== null && Math.hypot(again[0] - point[0], again[1] - point[1]) < 1e-6;
}

/**
 * The largest picture distance at which two pins are seen at right angles about a centre, by bisection; null where
 * there is none.
 */
function squareDistance(law: LawId, v1: Vec2, v2: Vec2, centre: Vec2): number | null {
  const cosine = (d: number) => dot(axis(law, v1, centre, d), axis(law, v2, centre, d));
  const reach = Math.max(...[v1, v2].map(([x, y]) => Math.hypot(x - centre[0], y - centre[1])));
  const at = (i: number) => reach * SPAN ** (1 - (2 * i) / STEPS);
  for (let i = 0; i < STEPS; i++) {
    let [far, near] = [at(i), at(i + 1)];
    // Far away all pins are seen nearly alike; coming nearer, the first right angle is the calmest.
    if (!(cosine(far) > 0 && cosine(near) <= 0)) continue;
    for (let k = 0; k < 80 && far - near > 1e-13 * far; k++) {
      const mid = (far + near) / 2;
      if (cosine(mid) > 0) far = mid;
      else near = mid;
    }
    const d = (far + near) / 2;
    if (shows(law, v1, centre, d) && shows(law, v2, centre, d)) return d;
  }
  return null;
}

/**
 * Centre and distance at which three pins are seen at right angles, by Newton's method from a start; null where it
 * finds none.
 */
function squareCentre(
  law: LawId,
  pins: readonly Vec2[],
  start: readonly [number, number, number],
): readonly [number, number, number] | null {
  const residuals = ([x, y, log]: readonly number[]) => {
    const [a, b, c] = pins.map((pin) => axis(law, pin, [x, y], Math.exp(log)));
    return [dot(a, b), dot(a, c), dot(b, c)];
  };
  let at = [start[0], start[1], Math.log(start[2])];
  for (let round = 0; round < 60; round++) {
    const now = residuals(at);
    if (Math.max(...now.map(Math.abs)) < SQUARE) return [at[0], at[1], Math.exp(at[2])];
    const steps = [1e-4 * Math.exp(at[2]), 1e-4 * Math.exp(at[2]), 1e-5];
    const columns = steps.map((step, k) => {
      const ahead = residuals(at.map((v, j) => (j === k ? v + step : v)));
      const behind = residuals(at.map((v, j) => (j === k ? v - step : v)));
      return ahead.map((value, i) => (value - behind[i]) / (2 * step));
    });
    const by = solveLinear(new Matrix(columns).transpose(), Matrix.columnVector(now), true).to1DArray();
    // Steps are kept within what the lens bends little.
    const k = Math.min(1, 0.5 / Math.max(Math.abs(by[2]), Math.hypot(by[0], by[1]) / Math.exp(at[2]), 1e-300));
    at = at.map((v, i) => v - k * by[i]);
    if (!at.every(Number.isFinite)) return null;
  }
  return null;
}

/**
 * The view through any lens behind two or three vanishing points of directions at right angles, as `solvePins` has it
 * for the straight one. In a curved lens the angle between two pins depends on the picture distance alone, once C is
 * known; three pins fix C as well.
 * @throws NoAnswer when no such view is found
 */
export function solvePinsThrough(law: LawId, pins: readonly Vec2[], centre?: Vec2, horizonY?: number): Solved {
  if (LAWS[law].straight) return solvePins(pins, centre, horizonY);
  requireDistinct(pins);
  if (horizonY !== undefined) onLevel(pins, horizonY);
  const [v1, v2, v3] = pins;
  const seen = (c: Vec2, distance: number): Solved => {
    const north = axis(law, v1, c, distance);
    return posed(north, upward(cross(axis(law, v2, c, distance), north)), c, distance, law);
  };
  if (!v3) {
    const c = centre ?? middle({ x: v1[0], y: v1[1], width: v2[0] - v1[0], height: v2[1] - v1[1] });
    const distance = squareDistance(law, v1, v2, c);
    if (distance === null)
      throw new NoAnswer("Through this lens no eye sees the two points at right angles about this centre of vision.");
    return seen(c, distance);
  }
  const triangle = orthocentre(v1, v2, v3);
  const mean: Vec2 = [(v1[0] + v2[0] + v3[0]) / 3, (v1[1] + v2[1] + v3[1]) / 3];
  const size = Math.max(...pins.map(([x, y]) => Math.hypot(x - mean[0], y - mean[1])));
  for (const from of [centre, mean, triangle]) {
    for (const share of [0.8, 0.5, 1.2]) {
      const found = from && squareCentre(law, pins, [...from, share * size]);
      if (!found) continue;
      const [x, y, distance] = found;
      if (!pins.every((pin) => shows(law, pin, [x, y], distance))) continue;
      if (centre && Math.hypot(x - centre[0], y - centre[1]) > 0.01)
        throw new NoAnswer(
          sentence`Three points fix the centre of vision at (${x.toFixed(1)}, ${y.toFixed(1)}); the one given is
            ${mm(distance2([x, y], centre))} away. Leave it out.`,
        );
      return seen([x, y], distance);
    }
  }
  throw new NoAnswer("Through this lens no eye sees the three points at right angles.");
}
