import type { Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Stretch } from "./quad";

/** Where two lines meet, each through two places. @throws NoAnswer where they run side by side */
export function meet([a, b]: Stretch, [c, d]: Stretch): Vec2 {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const turn = ux * vy - uy * vx;
  if (Math.abs(turn) < 1e-12 * Math.hypot(ux, uy) * Math.hypot(vx, vy))
    throw new NoAnswer("Two lines of the construction run side by side.");
  const t = ((c[0] - a[0]) * vy - (c[1] - a[1]) * vx) / turn;
  return [a[0] + t * ux, a[1] + t * uy];
}

export const between = (a: Vec2, b: Vec2, share: number): Vec2 => [
  a[0] + share * (b[0] - a[0]),
  a[1] + share * (b[1] - a[1]),
];

/** Whether two lines run so nearly side by side that they have no point on any desk. */
export const sideBySide = ([a, b]: Stretch, [c, d]: Stretch): boolean => {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  return Math.abs(ux * vy - uy * vx) < 1e-9 * Math.hypot(ux, uy) * Math.hypot(vx, vy);
};

/** The line through a place to where two others meet, or beside them where they meet nowhere. */
export function through(place: Vec2, first: Stretch, second: Stretch): Stretch {
  if (!sideBySide(first, second)) return [place, meet(first, second)];
  const [a, b] = first;
  return [place, [place[0] + b[0] - a[0], place[1] + b[1] - a[1]]];
}
