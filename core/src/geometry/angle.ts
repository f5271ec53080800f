import type { Vec2, Vec3 } from "./vec";

export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
export const degrees = (radians: number): number => (radians * 180) / Math.PI;

/** An angle in degrees brought into [from, from + turn). */
export function wrap(angle: number, from = 0, turn = 360): number {
  const wrapped = (((angle - from) % turn) + turn) % turn;
  return wrapped === turn ? from : wrapped + from;
}

/** The heading of a level direction of any length, in degrees clockwise from north, -180 to 180. */
export const headingAlong = ([x, y]: Vec2): number => degrees(Math.atan2(x, y));

/** The level unit direction of a heading in degrees clockwise from north. Quarter turns are exact. */
export function headingDirection(heading: number): Vec3 {
  const h = wrap(heading);
  if (h % 90 === 0) return [[0, 1, 0, -1][h / 90], [1, 0, -1, 0][h / 90], 0];
  return [Math.sin(radians(h)), Math.cos(radians(h)), 0];
}
