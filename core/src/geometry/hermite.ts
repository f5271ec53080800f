import type { Vec3 } from "./vec";

/** A place of a cubic and its derivative there, by its parameter. */
export interface OnCubic {
  readonly at: Vec3;
  readonly way: Vec3;
}

/**
 * The place of a cubic at a parameter from 0 to 1, exact at its ends: by its ends a and b and its derivatives u and v
 * there (Hermite).
 */
export function onCubic(a: Vec3, b: Vec3, u: Vec3, v: Vec3, t: number): OnCubic {
  const s = 1 - t;
  const [h, k, m, n] = [s * s * (1 + 2 * t), t * t * (3 - 2 * t), t * s * s, -t * t * s];
  const [d, e, f] = [6 * t * s, s * (1 - 3 * t), t * (3 * t - 2)];
  return {
    at: [
      h * a[0] + k * b[0] + m * u[0] + n * v[0],
      h * a[1] + k * b[1] + m * u[1] + n * v[1],
      h * a[2] + k * b[2] + m * u[2] + n * v[2],
    ],
    way: [
      d * (b[0] - a[0]) + e * u[0] + f * v[0],
      d * (b[1] - a[1]) + e * u[1] + f * v[1],
      d * (b[2] - a[2]) + e * u[2] + f * v[2],
    ],
  };
}
