import type { Vec2 } from "../geometry";

/** The place on the plan so far to the right of one that faces along a level unit vector, and so far before it, m. */
export const placeBeside = (
  [x, y]: Vec2,
  [fx, fy]: readonly [number, number, ...unknown[]],
  [right, ahead]: Vec2,
): Vec2 => [x + right * fy + ahead * fx, y - right * fx + ahead * fy];

/**
 * The corners on the plan of a rectangle about a place that faces along a level unit vector, counter-clockwise.
 * @param across from where to where it reaches to the right, m
 * @param along from where to where it reaches before the place, m
 */
export const rectangleAround = (
  at: Vec2,
  facing: readonly [number, number, ...unknown[]],
  [left, right]: Vec2,
  [back, front]: Vec2,
): readonly Vec2[] =>
  [
    [left, back],
    [right, back],
    [right, front],
    [left, front],
  ].map(([s, f]) => placeBeside(at, facing, [s, f]));
