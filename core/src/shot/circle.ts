import { norm, type Vec3 } from "../geometry";

/** A great circle run at unit speed: directions cos t u + sin t v in eye axes, u and v at right angles. */
export interface GreatCircle {
  readonly u: Vec3;
  readonly v: Vec3;
}

export const direction = ({ u, v }: GreatCircle, t: number): Vec3 => {
  const [c, s] = [Math.cos(t), Math.sin(t)];
  return [c * u[0] + s * v[0], c * u[1] + s * v[1], c * u[2] + s * v[2]];
};

/** Puts into `found` where a cos t + b sin t = k, within (from, to). */
export function crossings(a: number, b: number, k: number, from: number, to: number, found: number[]): void {
  const r = Math.sqrt(a * a + b * b);
  if (r < 1e-15 || Math.abs(k) > r) return;
  const [middle, half] = [Math.atan2(b, a), Math.acos(k / r)];
  for (const at of [middle - half, middle + half]) {
    for (let t = at + 2 * Math.PI * Math.ceil((from - at) / (2 * Math.PI)); t < to; t += 2 * Math.PI) if (t > from) found.push(t);
  }
}

/** How far a circle's plane stands from the gaze: the sine of the angle between them; 0 where it holds the gaze. */
export const tiltOf = ({ u, v }: GreatCircle): number => Math.abs(u[0] * v[1] - u[1] * v[0]) / (norm(u) * norm(v));
