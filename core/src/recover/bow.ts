import type { Vec2 } from "../geometry";
import type { Reference } from "../scene";
import { carried, type Called } from "./carry";

/**
 * How a lens bows what is straight: a place at a distance r from the centre, in half diagonals of the picture, is seen
 * at r (1 + k1 r^2 + k2 r^4): barrels have a negative k1, pincushions a positive one (Brown, Photogrammetric
 * Engineering 37, 1971 (from memory); OpenCV's model with both focal lengths set to half the diagonal).
 */
export interface Bow {
  readonly centre: Vec2;
  /** Half the diagonal, px. */
  readonly size: number;
  readonly k1: number;
  readonly k2: number;
}

/** Where a straight picture's place is seen in the bowed one. */
export function bowedAt({ centre: [cx, cy], size, k1, k2 }: Bow, [x, y]: Vec2): Vec2 {
  const [u, v] = [(x - cx) / size, (y - cy) / size];
  const rr = u * u + v * v;
  const k = 1 + rr * (k1 + rr * k2);
  return [cx + size * u * k, cy + size * v * k];
}

/** Where a bowed picture's place belongs: the inverse, by Newton's method along the radius. */
export function undistortedAt(bow: Bow, [x, y]: Vec2): Vec2 {
  const {
    centre: [cx, cy],
    size,
    k1,
    k2,
  } = bow;
  const seen = Math.hypot(x - cx, y - cy) / size;
  if (seen < 1e-12) return [x, y];
  let r = seen;
  for (let round = 0; round < 30; round++) {
    const rr = r * r;
    const slope = 1 + rr * (3 * k1 + 5 * rr * k2);
    // Past the fold of a strong barrel nothing more is seen.
    const step = (r * (1 + rr * (k1 + rr * k2)) - seen) / Math.max(0.2, slope);
    r -= step;
    if (Math.abs(step) < 1e-13) break;
  }
  const k = r / seen;
  return [cx + k * (x - cx), cy + k * (y - cy)];
}

/**
 * How a picture is undistorted: the new picture, as large as the old one, shows `scale` px of a straight lens for each
 * of its own.
 */
export interface Undistorting {
  readonly width: number;
  readonly height: number;
  readonly bow: Bow;
  readonly scale: number;
}

/** The plan for a picture without its bow: as much of it as fills the picture's own shape to the corners. */
export function undistorting(
  { width, height }: Pick<Reference, "width" | "height">,
  { centre, size, k1, k2 }: Bow,
): Undistorting {
  const bow = { centre, size, k1, k2 };
  const border = Array.from({ length: 33 }, (_, i) => i / 32).flatMap((t): Vec2[] => [
    [t * width, 0],
    [t * width, height],
    [0, t * height],
    [width, t * height],
  ]);
  const inside = (scale: number) =>
    border.every(([x, y]) => {
      const [u, v] = bowedAt(bow, [centre[0] + scale * (x - centre[0]), centre[1] + scale * (y - centre[1])]);
      return u >= 0 && u <= width && v >= 0 && v <= height;
    });
  let [fits, not] = [0.2, 2];
  for (let i = 0; i < 40; i++) {
    const scale = (fits + not) / 2;
    if (inside(scale)) fits = scale;
    else not = scale;
  }
  return { width, height, bow, scale: fits };
}

/** Where a place of the old picture is in the undistorted one. */
export function undistortedPlace({ bow, scale }: Undistorting, p: Vec2): Vec2 {
  const [x, y] = undistortedAt(bow, p);
  const [cx, cy] = bow.centre;
  return [cx + (x - cx) / scale, cy + (y - cy) / scale];
}

/** A reference with all that was traced in it taken over to its undistorted picture. */
export const undistorted = (reference: Reference, plan: Undistorting, next: Called): Reference =>
  carried(reference, (p) => undistortedPlace(plan, p), { ...plan, centre: plan.bow.centre }, next);
