import { radians, type Vec3 } from "../geometry";
import type { LensLaw } from "./law";

/** How high a latitude phi on the drum is drawn, with inverse and derivatives; the girdle is drawn at true size. */
interface Height {
  readonly id: string;
  /** Degrees of latitude that are still shown. */
  readonly limit: number;
  readonly height: (phi: number) => number;
  readonly latitude: (height: number) => number;
  readonly slope: (phi: number) => number;
  /** A bound on |y''| at a latitude, of the height along a great circle at unit speed. */
  readonly rise: (phi: number) => number;
  /** The axis is `right` and not `up`. */
  readonly lying?: boolean;
}

/** A pole is a whole line of the project: curves end this near to it (radians), so that none runs along it. */
const POLE = 1e-5;

/**
 * A drum around the eye, unrolled: x = lambda around the axis, y = height(phi) along it (Snyder, USGS PP 1395, 1987,
 * chapters 10 and 12). Along a great circle lambda'' = 2 tan phi lambda' phi', at most tan phi / cos phi.
 */
export function drum({ id, limit: degrees, height, latitude, slope, rise, lying = false }: Height): LensLaw {
  const limit = radians(degrees);
  /** Across, along the axis, ahead; and back. */
  const sorted = ([a, b, c]: Vec3): Vec3 => (lying ? [b, a, c] : [a, b, c]);
  const off = (direction: Vec3): number => {
    const [a, b, c] = sorted(direction);
    return Math.abs(Math.atan2(b, Math.sqrt(a * a + c * c)));
  };
  return {
    id,
    straight: false,
    shape: lying ? "lying drum" : "drum",
    limit: Math.min(limit, Math.PI / 2 - POLE),
    off,
    project: (direction) => {
      const [a, b, c] = sorted(direction);
      const phi = Math.atan2(b, Math.sqrt(a * a + c * c));
      if (Math.abs(phi) > limit) return null;
      const [x, y] = [Math.atan2(a, c), height(phi)];
      return lying ? [y, x] : [x, y];
    },
    unproject: (point) => {
      const [x, y] = lying ? [point[1], point[0]] : point;
      const lambda = Math.min(Math.PI, Math.max(-Math.PI, x));
      const phi = Math.min(limit, Math.max(-limit, latitude(y)));
      return sorted([Math.sin(lambda) * Math.cos(phi), Math.sin(phi), Math.cos(lambda) * Math.cos(phi)]);
    },
    velocity: (direction, velocity) => {
      const [[a, b, c], [u, v, w]] = [sorted(direction), sorted(velocity)];
      const around = a * a + c * c;
      if (around < 1e-18) return [0, 0];
      const x = (u * c - w * a) / around;
      const y = (slope(Math.atan2(b, Math.sqrt(around))) * v) / Math.sqrt(around);
      return lying ? [y, x] : [x, y];
    },
    curvatureBound: (most) => {
      const phi = Math.min(most, limit, radians(89.9));
      return Math.hypot(Math.tan(phi) / Math.cos(phi), rise(phi)) + 1e-3;
    },
    stretch: (direction) => {
      const phi = off(direction);
      return { radial: slope(phi), tangential: 1 / Math.cos(phi) };
    },
  };
}
