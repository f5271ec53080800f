import fc from "fast-check";
import { distance2, type Quad, type Vec2 } from "../src/geometry";
import { quadProblem, type Stretch } from "../src/dividing";
import { sharesOf } from "../src/rhythm";
import { between } from ".";

/** A quadrilateral of x and y in turn. */
export const quad = (...[a, b, c, d, e, f, g, h]: readonly number[]): Quad => [
  [a, b],
  [c, d],
  [e, f],
  [g, h],
];

/** A stretch of x and y in turn. */
export const stretch = (a: number, b: number, c: number, d: number): Stretch => [
  [a, b],
  [c, d],
];

/** Pictures of rectangles: convex quadrilaterals that are nowhere flat. */
export const anyQuad = fc
  .tuple(between(10, 60), between(10, 60), between(10, 60), between(10, 60), between(0, 7))
  .map(([a, b, c, d, turn]): Quad => {
    const at = (r: number, k: number): Vec2 => [200 + r * Math.cos(turn + k), 150 + r * Math.sin(turn + k)];
    return [at(a, 0), at(b, 1.6), at(c, 3.1), at(d, 4.8)];
  })
  .filter((quad) => quadProblem(quad) === null);

export const anyShares = fc
  .array(between(0.2, 3), { minLength: 2, maxLength: 9 })
  .map((sizes) => sharesOf(sizes.map((size) => ({ size }))));

/** Along a line that runs to a point 1/r changes evenly, r being the distance to it (common practice). */
export function shareTowards([from, to]: Stretch, point: Vec2, share: number): Vec2 {
  const [a, b] = [distance2(from, point), distance2(to, point)];
  const r = (a * b) / (b + share * (a - b));
  const t = (a - r) / (a - b);
  return [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])];
}
