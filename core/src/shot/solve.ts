import { cross, distance2, dot, middle, scale, unit, type Vec2, type Vec3 } from "../geometry";
import type { LawId } from "../lens";
import { NoAnswer } from "../problem";
import type { Scene } from "../scene";
import { mm, sentence } from "../units";
import { gazeOf, type Gaze } from "./view";

/** A view found from its vanishing points: the lens, and the gaze with the first point's direction as north. */
export interface Solved {
  readonly lens: Scene["shots"][number]["lens"];
  readonly gaze: Gaze;
}

/** Two pins nearer than this (mm) are one. */
const MIN_SEPARATION = 1e-6;

const towards = (from: Vec2, to: Vec2): Vec2 => [to[0] - from[0], to[1] - from[1]];
const dot2 = (a: Vec2, b: Vec2): number => a[0] * b[0] + a[1] * b[1];
const pair = ([x, y]: Vec2): string => `(${Number(x.toFixed(1))}, ${Number(y.toFixed(1))})`;

/** Where the three altitudes of a triangle meet: the centre of vision of three points at right angles. */
export function orthocentre(p: Vec2, q: Vec2, r: Vec2): Vec2 {
  const [u, v] = [towards(p, q), towards(p, r)];
  const area = u[0] * v[1] - u[1] * v[0];
  const k = dot2(u, v) / area;
  return [p[0] + k * (v[1] - u[1]), p[1] - k * (v[0] - u[0])];
}

/**
 * The nearest place for the third point at which the triangle is acute: between the perpendiculars that stand on the
 * first two, and outside the circle that has them as its diameter; `margin` mm inside those limits.
 */
export function nearestAcute(p: Vec2, q: Vec2, r: Vec2, margin = 1): Vec2 {
  const base = distance2(p, q);
  const e: Vec2 = [(q[0] - p[0]) / base, (q[1] - p[1]) / base];
  const n: Vec2 = [-e[1], e[0]];
  const v = towards(p, r);
  const inset = Math.min(margin, base / 4);
  const s = Math.min(Math.max(dot2(v, e), inset), base - inset);
  const side = dot2(v, n) < 0 ? -1 : 1;
  const [x, y] = [s - base / 2, Math.abs(dot2(v, n))];
  const out = base / 2 + margin;
  let [along, away] = [s, y];
  if (Math.hypot(x, y) < out) {
    // Straight out from the middle of the base; where that leaves the strip, up along its side.
    const k = Math.hypot(x, y) > MIN_SEPARATION ? out / Math.hypot(x, y) : 0;
    along = k ? Math.min(Math.max(base / 2 + x * k, inset), base - inset) : base / 2;
    away = Math.sqrt(Math.max(out ** 2 - (along - base / 2) ** 2, margin ** 2));
  }
  return [p[0] + e[0] * along + n[0] * side * away, p[1] + e[1] * along + n[1] * side * away];
}

/** @throws NoAnswer where the first two pins do not lie on a level horizon */
export function onLevel([v1, v2]: readonly Vec2[], horizonY: number): void {
  for (const [i, pin] of [v1, v2].entries()) {
    const off = pin[1] - horizonY;
    if (Math.abs(off) > 0.01)
      throw new NoAnswer(
        sentence`Point ${i + 1} lies ${mm(Math.abs(off))} ${off > 0 ? "below" : "above"} the horizon; both must lie on
          it.`,
      );
  }
}

/** @throws NoAnswer where two pins are one */
export function requireDistinct(pins: readonly Vec2[]): void {
  for (const [i, j] of pins.length === 3
    ? [
        [0, 1],
        [0, 2],
        [1, 2],
      ]
    : [[0, 1]]) {
    if (distance2(pins[i], pins[j]) < MIN_SEPARATION)
      throw new NoAnswer(`Points ${i + 1} and ${j + 1} lie on top of each other.`);
  }
}

/**
 * The straight view behind the vanishing points of two or three directions at right angles, the first two horizontal,
 * the third plumb. With C the centre of vision and d the picture distance, (V1 - C) . (V2 - C) = -d^2; with three
 * points C is the orthocentre of their triangle (Hartley and Zisserman, Multiple View Geometry, 2004, ch. 8).
 * With two points and no centre, C stands midway between them.
 * @param pins two or three points, sheet mm
 * @param centre the centre of vision, sheet mm, where it is known
 * @param horizonY the height of a level horizon, sheet mm, where the first two points are meant to lie on one
 * @throws NoAnswer when no eye sees such points as right angles, with the reason and, for three, a near remedy
 */
export function solvePins(pins: readonly Vec2[], centre?: Vec2, horizonY?: number): Solved {
  const [v1, v2, v3] = pins;
  if (horizonY !== undefined) onLevel(pins, horizonY);
  requireDistinct(pins);
  if (v3) return solveThree(v1, v2, v3, centre);
  const c = centre ?? middle({ x: v1[0], y: v1[1], width: v2[0] - v1[0], height: v2[1] - v1[1] });
  const square = -dot2(towards(c, v1), towards(c, v2));
  if (square > MIN_SEPARATION) return solved(v1, v2, c, Math.sqrt(square));
  const [a, b] = [towards(c, v1), towards(c, v2)];
  const onHorizon = Math.abs(a[0] * b[1] - a[1] * b[0]) < MIN_SEPARATION * distance2(v1, v2);
  throw new NoAnswer(
    onHorizon
      ? "Both points lie on the same side of the centre of vision: no eye sees them at right angles. Put one on " +
          "each side."
      : "The two points stand too close together for a centre of vision so far off their horizon: no eye sees " +
          "them at right angles. Spread them.",
  );
}

function solveThree(v1: Vec2, v2: Vec2, v3: Vec2, centre?: Vec2): Solved {
  const c = orthocentre(v1, v2, v3);
  const square = -dot2(towards(c, v1), towards(c, v2));
  if (!(square > MIN_SEPARATION)) {
    const near = nearestAcute(v1, v2, v3);
    throw new NoAnswer(
      sentence`The triangle of the three points is not acute, so no eye sees them at right angles. The nearest third
        point that works is ${pair(near)}, ${mm(distance2(near, v3))} away.`,
    );
  }
  if (centre && distance2(c, centre) > 0.01) {
    throw new NoAnswer(
      sentence`Three points fix the centre of vision at ${pair(c)}; the one given is ${mm(distance2(c, centre))} away.
        Leave it out.`,
    );
  }
  return solved(v1, v2, c, Math.sqrt(square));
}

/** The direction of a sheet point in right-handed eye axes: right, up, backward. */
const axis = ([x, y]: Vec2, [cx, cy]: Vec2, distance: number): Vec3 => unit([x - cx, cy - y, -distance]);
/** A plumb axis turned so that it points up the sheet. */
export const upward = (v: Vec3): Vec3 => scale(unit(v), (v[1] || v[0]) < 0 ? -1 : 1);

/** Lens and gaze, from two horizontal points, the centre and the distance. */
function solved(v1: Vec2, v2: Vec2, centre: Vec2, distance: number): Solved {
  const north = axis(v1, centre, distance);
  return posed(north, upward(cross(axis(v2, centre, distance), north)), centre, distance);
}

/** Lens and gaze, from the axes of north and up in eye axes. */
export function posed(north: Vec3, up: Vec3, [x, y]: Vec2, distance: number, law: LawId = "rectilinear"): Solved {
  const east = cross(north, up);
  const world = (v: Vec3): Vec3 => [dot(v, east), dot(v, north), dot(v, up)];
  const gaze = gazeOf({ right: world([1, 0, 0]), up: world([0, 1, 0]), forward: world([0, 0, -1]) });
  return { lens: { law, distance, centre: { x, y } }, gaze };
}

/**
 * The straight view of a given centre behind one level point and the plumb point, the level direction being north:
 * d^2 = -(V1 - C) . (V3 - C).
 * @throws NoAnswer when both lie on one side of the centre
 */
export function solveWithPlumb(level: Vec2, plumb: Vec2, centre: Vec2): Solved {
  const square = -dot2(towards(centre, level), towards(centre, plumb));
  if (!(square > MIN_SEPARATION))
    throw new NoAnswer("With this centre of vision no eye sees the third point at right angles to the others.");
  const distance = Math.sqrt(square);
  return posed(axis(level, centre, distance), upward(axis(plumb, centre, distance)), centre, distance);
}
