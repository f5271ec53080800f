import { add, cross, dot, scale, unit, type Vec2, type Vec3 } from "../geometry";
import type { Norm } from "./segments";

export type Axes = readonly [Vec3, Vec3, Vec3];

/** A direction rotated by a rotation vector, radians: Rodrigues' formula. */
export function rotated(v: Vec3, [rx, ry, rz]: readonly number[]): Vec3 {
  const angle = Math.hypot(rx, ry, rz);
  if (angle < 1e-15) return v;
  const k: Vec3 = [rx / angle, ry / angle, rz / angle];
  return add(
    add(scale(v, Math.cos(angle)), scale(cross(k, v), Math.sin(angle))),
    scale(k, dot(k, v) * (1 - Math.cos(angle))),
  );
}

/** The homogeneous image point of a camera direction, through focal length and centre in the norm. */
export const project = ([x, y, z]: Vec3, f: number, [cx, cy]: Vec2): Vec3 => [f * x + cx * z, f * y + cy * z, z];
/** The camera direction of a homogeneous image point. */
export const unproject = ([x, y, w]: Vec3, f: number, [cx, cy]: Vec2): Vec3 =>
  unit([(x - cx * w) / f, (y - cy * w) / f, w]);

/** Focal lengths, in half longer sides, that a camera may have: 8 mm to 1,200 mm on full frame. */
const LEAST_F = 0.4;
const MOST_F = 70;

/** Squared focal length from two homogeneous points at right angles: -(v1 - c).(v2 - c); null where they tell none. */
export function focalFrom(p: Vec3, q: Vec3, [cx, cy]: Vec2): number | null {
  const square = -((p[0] - cx * p[2]) * (q[0] - cx * q[2]) + (p[1] - cy * p[2]) * (q[1] - cy * q[2])) / (p[2] * q[2]);
  const f = Math.sqrt(square);
  return f >= LEAST_F && f <= MOST_F ? f : null;
}

/** Three axes at right angles nearest to two or three given directions: the second is laid square to the first. */
export function axesFrom(first: Vec3, second: Vec3): Axes {
  const a = unit(first);
  const b = unit(add(second, scale(a, -dot(a, second))));
  return [a, b, cross(a, b)];
}

/** The horizon of a camera whose up is a direction: a x + b y + c = 0, px; null where it looks straight up or down. */
export function horizonOf(
  up: Vec3,
  f: number,
  [cx, cy]: Vec2,
  norm: Norm,
): { readonly a: number; readonly b: number; readonly c: number } | null {
  const [a, b, c] = [up[0] / f, up[1] / f, up[2] - (up[0] * cx + up[1] * cy) / f];
  const length = Math.hypot(a, b);
  if (length <= 1e-9) return null;
  return { a: a / length, b: b / length, c: (norm.size * c - a * norm.x - b * norm.y) / length };
}
