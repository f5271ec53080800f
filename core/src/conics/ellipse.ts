import {
  applyHomography,
  degrees,
  fromUnitSquare,
  inverseHomography,
  radians,
  type Homography,
  type Quad,
  type Vec2,
} from "../geometry";
import { quadProblem } from "../dividing";
import { NoAnswer } from "../problem";

/** An ellipse: its centre, its semi-axes, and how the long one lies, degrees clockwise from right. */
export interface Ellipse {
  readonly centre: Vec2;
  readonly semiAxes: readonly [long: number, short: number];
  readonly tilt: number;
}

/** The coefficients of a conic: a x^2 + b x y + c y^2 + d x + e y + f = 0. */
type Conic = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** How far from a parabola the picture of a circle must be to be told as an ellipse, as a part of its size. */
const LEAST = 1e-9;
/** Semi-axes that differ by less, as a part, are those of a circle: it lies no way. */
const ROUND = 1e-9;

/**
 * The picture of the circle in the unit square by a homography: C' = H^-T C H^-1 (Hartley and Zisserman, Multiple View
 * Geometry, 2nd ed., result 2.13 (from memory)).
 */
function conicOf(homography: Homography): Conic {
  const m = inverseHomography(homography);
  // (x - 1/2)^2 + (y - 1/2)^2 = 1/4, times 4.
  const c = [4, 0, -2, 0, 4, -2, -2, -2, 1];
  const at = (i: number, k: number) => {
    let sum = 0;
    for (let r = 0; r < 3; r++) for (let s = 0; s < 3; s++) sum += m[3 * r + i] * c[3 * r + s] * m[3 * s + k];
    return sum;
  };
  return [at(0, 0), 2 * at(0, 1), at(1, 1), 2 * at(0, 2), 2 * at(1, 2), at(2, 2)];
}

/** The ellipse that a conic is; null where it is another one. Its axes are the eigenvectors of its quadratic form. */
function ellipseIn([a, b, c, d, e, f]: Conic): Ellipse | null {
  const det = 4 * a * c - b * b;
  if (!(det > LEAST * (a + c) ** 2)) return null;
  const [x, y] = [(b * e - 2 * c * d) / det, (b * d - 2 * a * e) / det];
  const rest = -(f + (d * x + e * y) / 2);
  const spread = Math.hypot(a - c, b);
  // The long axis belongs to the eigenvalue that is smaller beside what is left.
  const [low, high] = [(a + c - Math.sign(rest) * spread) / 2, (a + c + Math.sign(rest) * spread) / 2];
  const [long, short] = [Math.sqrt(rest / low), Math.sqrt(rest / high)];
  if (!(long > 0 && short > 0)) return null;
  const turn =
    long - short < ROUND * long ? 0 : degrees(0.5 * Math.atan2(-b * Math.sign(rest), (c - a) * Math.sign(rest)));
  return { centre: [x, y], semiAxes: [long, short], tilt: turn === -90 ? 90 : turn };
}

/** A circle crosses the diagonals of the square around it so far off its sides: 0.1464 of a side. */
const OFF = (1 - Math.SQRT1_2) / 2;

/** The eight places that a circle is drawn through, in the square around it, from the middle of its first side. */
export const EIGHT: readonly Vec2[] = [
  [0.5, 0],
  [1 - OFF, OFF],
  [1, 0.5],
  [1 - OFF, 1 - OFF],
  [0.5, 1],
  [OFF, 1 - OFF],
  [0, 0.5],
  [OFF, OFF],
];

/** A circle as it is drawn in the picture of the square around it. */
export interface CircleInQuad extends Ellipse {
  /** Where the circle's own centre is: where the diagonals cross, and not in the middle of the ellipse. */
  readonly circleCentre: Vec2;
  /** From the middle of its first side on: on the sides, and on the diagonals, in turn. */
  readonly points: readonly Vec2[];
}

/**
 * The circle in the picture of a square.
 * @param quad the square's corners in their order around, convex
 * @throws NoAnswer where the corners are no picture of a square
 */
export function circleInQuad(quad: Quad): CircleInQuad {
  const problem = quadProblem(quad);
  if (problem) throw new NoAnswer(problem);
  // Worked out around the quadrilateral's own middle and in its own size, so that large numbers cost no digits.
  const [mx, my] = [0, 1].map((axis) => quad.reduce((sum, p) => sum + p[axis], 0) / 4);
  const size = Math.max(...quad.map(([x, y]) => Math.hypot(x - mx, y - my)));
  const near = quad.map(([x, y]): Vec2 => [(x - mx) / size, (y - my) / size]);
  const homography = fromUnitSquare([near[0], near[1], near[2], near[3]]);
  const back = ([x, y]: Vec2): Vec2 => [mx + size * x, my + size * y];
  const ellipse = ellipseIn(conicOf(homography));
  const [middle, ...points] = [[0.5, 0.5] as const, ...EIGHT].map((place) => applyHomography(homography, place));
  if (!ellipse || !middle || points.includes(null))
    throw new NoAnswer("The corners lie so nearly on one line that no ellipse can be told.");
  return {
    centre: back(ellipse.centre),
    semiAxes: [size * ellipse.semiAxes[0], size * ellipse.semiAxes[1]],
    tilt: ellipse.tilt,
    circleCentre: back(middle),
    points: points.map((p) => back(p!)),
  };
}

/** A place of an ellipse, by the angle of its parameter, degrees from the long axis on, clockwise. */
export function onEllipse({ centre: [x, y], semiAxes: [a, b], tilt }: Ellipse, at: number): Vec2 {
  const [c, s] = [Math.cos(radians(tilt)), Math.sin(radians(tilt))];
  const [p, q] = [a * Math.cos(radians(at)), b * Math.sin(radians(at))];
  return [x + c * p - s * q, y + s * p + c * q];
}
