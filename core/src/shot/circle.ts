import { norm, type Vec3 } from "../geometry";

/** A great circle run at unit speed: directions cos t u + sin t v in eye axes, u and v at right angles. */
export interface GreatCircle {
  readonly u: Vec3;
  readonly v: Vec3;
}

/** The direction at the parameter that has this cosine and sine. */
export const turned = ({ u, v }: GreatCircle, cos: number, sin: number): Vec3 => [
  cos * u[0] + sin * v[0],
  cos * u[1] + sin * v[1],
  cos * u[2] + sin * v[2],
];

export const direction = (circle: GreatCircle, t: number): Vec3 => turned(circle, Math.cos(t), Math.sin(t));

/** Puts into `found` where a cos t + b sin t = k, within (from, to). */
export function crossings(a: number, b: number, k: number, from: number, to: number, found: number[]): void {
  const r = Math.sqrt(a * a + b * b);
  if (r < 1e-15 || Math.abs(k) > r) return;
  const [middle, half] = [Math.atan2(b, a), Math.acos(k / r)];
  for (const at of [middle - half, middle + half]) {
    for (let t = at + 2 * Math.PI * Math.ceil((from - at) / (2 * Math.PI)); t < to; t += 2 * Math.PI)
      if (t > from) found.push(t);
  }
}

/** How far a circle's plane stands from the gaze: the sine of the angle between them; 0 where it holds the gaze. */
export const tiltOf = ({ u, v }: GreatCircle): number => Math.abs(u[0] * v[1] - u[1] * v[0]) / (norm(u) * norm(v));
