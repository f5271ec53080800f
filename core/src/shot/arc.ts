import { clipToRect, type Rect, type Vec2 } from "../geometry";
import type { CurveBook } from "./book";
import { crossings, direction, tiltOf, type GreatCircle } from "./circle";
import type { View } from "./view";

/**
 * A plane this near to the gaze (sine) is drawn as a straight line: its circle would be thousands of kilometres wide.
 */
const STRAIGHT = 1e-8;

/**
 * Draws a stretch of a great circle in the stereographic lens, where its picture is a circle: with k = 2d, the gaze's
 * part of the direction c = A cos tau and the plane's normal nc = sqrt(1 - A^2), the radius is k / nc, and the angle
 * about the foot, from the place nearest to C, is 2 atan(nc / (1 + A) tan(tau / 2)). Its chords depart by r (1 - cos of
 * half a step), so that the steps are all as long as the tolerance lets them be.
 */
export function drawArc(
  { distance, centre, frame }: View,
  circle: GreatCircle,
  from: number,
  to: number,
  book: CurveBook,
  tolerance: number,
  most: number,
): void {
  const { u, v } = circle;
  const nearest = Math.atan2(v[2], u[2]);
  const tilt = tiltOf(circle);
  const A = Math.sqrt(u[2] * u[2] + v[2] * v[2]);
  const k = 2 * distance;
  const [a, b] = direction(circle, nearest);
  const [va, vb] = direction(circle, nearest + Math.PI / 2);
  // Towards the nearest place from C; where that is C itself, across the way the line runs.
  const length = Math.sqrt(a * a + b * b);
  if (tilt < STRAIGHT || length < STRAIGHT) return drawStraight({ distance, centre, frame }, circle, from, to, book);
  const [ex, ey] = [a / length, -b / length];
  const turn = a * vb - b * va > 0 ? -1 : 1;
  const r = k / tilt;
  const [fx, fy] = [centre[0] - ((k * A) / tilt) * ex, centre[1] - ((k * A) / tilt) * ey];
  const [gx, gy] = [-turn * ey, turn * ex];
  const slope = tilt / (1 + A);
  const angle = (t: number) => {
    const tau = t - nearest;
    const whole = Math.round(tau / (2 * Math.PI));
    return 2 * Math.atan(slope * Math.tan(tau / 2 - whole * Math.PI)) + whole * 2 * Math.PI;
  };
  const [first, last] = [angle(from), angle(to)];
  const ends = [first];
  const { x, y, width, height } = frame;
  for (const edge of [x, x + width]) crossings(r * ex, r * gx, edge - fx, first, last, ends);
  for (const edge of [y, y + height]) crossings(r * ey, r * gy, edge - fy, first, last, ends);
  ends.push(last);
  if (ends.length > 2) ends.sort((p, q) => p - q);
  const longest = 2 * Math.acos(1 - Math.min(1, tolerance / r));
  for (let i = 0; i + 1 < ends.length; i++) {
    const [p, q] = [ends[i], ends[i + 1]];
    const [mc, ms] = [Math.cos((p + q) / 2), Math.sin((p + q) / 2)];
    const [mx, my] = [fx + r * (mc * ex + ms * gx), fy + r * (mc * ey + ms * gy)];
    if (q - p < 1e-12 || mx < x || mx > x + width || my < y || my > y + height) continue;
    const n = Math.min(most, Math.max(1, Math.ceil((q - p) / longest)));
    const step = (q - p) / n;
    const [sc, ss] = [Math.cos(step), Math.sin(step)];
    let [c, s] = [Math.cos(p), Math.sin(p)];
    book.begin();
    for (let j = 0; j <= n; j++) {
      const [px, py] = [c * ex + s * gx, c * ey + s * gy];
      book.add(fx + r * px, fy + r * py, r * (c * gx - s * ex), r * (c * gy - s * ey), p + j * step);
      [c, s] = [c * sc - s * ss, s * sc + c * ss];
    }
  }
}

/** A plane through the gaze: a straight line through C. */
function drawStraight(
  { distance, centre, frame }: { readonly distance: number; readonly centre: Vec2; readonly frame: Rect },
  circle: GreatCircle,
  from: number,
  to: number,
  book: CurveBook,
): void {
  const at = (t: number): Vec2 => {
    const [a, b, c] = direction(circle, t);
    const k = (2 * distance) / (1 + c);
    return [centre[0] + k * a, centre[1] - k * b];
  };
  const [p, q] = [at(from), at(to)];
  const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
  const range = clipToRect(p, [dx, dy], frame, [0, 1]);
  if (!range) return;
  book.begin();
  for (const t of range) book.add(p[0] + t * dx, p[1] + t * dy, dx, dy, t);
}
