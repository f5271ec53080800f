import { radians, type Vec3 } from "../geometry";
import type { LensLaw } from "./law";

/** A radius that grows with the angle theta off the gaze, with its inverse and its first two derivatives. */
interface Radius {
  readonly id: string;
  /** Degrees off the gaze that are still shown. */
  readonly limit: number;
  readonly radius: (theta: number) => number;
  readonly angle: (radius: number) => number;
  readonly slope: (theta: number) => number;
  readonly curve: (theta: number) => number;
  readonly straight?: boolean;
}

/** Below this angle the picture is the direction itself, to the last digit. */
const MIDDLE = 1e-9;

/**
 * A law that is round about the gaze. Along a great circle at unit speed and at the slant psi to the radius, theta' =
 * cos psi, phi' = sin psi / sin theta, theta'' = cot theta sin^2 psi, phi'' = -2 cot theta theta' phi' (geodesics in
 * polar coordinates), so that the second derivative of r(theta) e(phi) has the parts r'' cos^2 psi + (r' cot theta - r
 * / sin^2 theta) sin^2 psi along the radius and 2 sin psi cos psi (r' - r cot theta) / sin theta across it.
 */
export function azimuthal({ id, limit: degrees, radius, angle, slope, curve, straight = false }: Radius): LensLaw {
  const limit = radians(degrees);
  const off = ([a, b, c]: Vec3): number => Math.atan2(Math.sqrt(a * a + b * b), c);
  return {
    id,
    straight,
    shape: "round",
    limit,
    off,
    project: (direction) => {
      const [a, b, c] = direction;
      const h = Math.sqrt(a * a + b * b);
      const theta = Math.atan2(h, c);
      if (theta > limit) return null;
      if (h === 0) return c > 0 ? [0, 0] : null;
      const k = radius(theta) / h;
      return [k * a, k * b];
    },
    unproject: ([x, y]) => {
      const r = Math.sqrt(x * x + y * y);
      if (r < MIDDLE) return [x, y, 1];
      const theta = Math.min(limit, angle(Math.min(r, radius(limit))));
      const k = Math.sin(theta) / r;
      return [k * x, k * y, Math.cos(theta)];
    },
    velocity: ([a, b, c], [u, v, w]) => {
      const h = Math.sqrt(a * a + b * b);
      if (h < MIDDLE) return c > 0 ? [u, v] : [0, 0];
      const theta = Math.atan2(h, c);
      const outward = (slope(theta) * -w) / h;
      const around = (radius(theta) / h) * ((a * v - b * u) / h);
      return [(outward * a - around * b) / h, (outward * b + around * a) / h];
    },
    curvatureBound: (most) => {
      const theta = Math.min(most, limit);
      if (theta < 1e-4) return 1e-3;
      const [sin, cot, r, r1] = [Math.sin(theta), 1 / Math.tan(theta), radius(theta), slope(theta)];
      const [along, across] = [
        Math.max(Math.abs(curve(theta)), Math.abs(r1 * cot - r / (sin * sin))),
        (r1 - r * cot) / sin,
      ];
      return Math.sqrt(along * along + across * across);
    },
    stretch: (direction) => {
      const theta = off(direction);
      return theta < 1e-6
        ? { radial: 1, tangential: 1 }
        : { radial: slope(theta), tangential: radius(theta) / Math.sin(theta) };
    },
  };
}
