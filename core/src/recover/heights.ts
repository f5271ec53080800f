import { add, cross, dot, radians, scale, sub, unit, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Reference } from "../scene";
import type { RecoveredView } from "./view";

/** Something that stands on the ground, from its foot to its top, px of the picture. */
export type HeightLine = NonNullable<Reference["heights"]>[number];

export interface Measured {
  /** The eye's height, m; null while no height is known. */
  readonly eye: number | null;
  /** The height of each thing, m; null where nothing is known, or its foot is not on the ground. */
  readonly heights: readonly (number | null)[];
  /**
   * How far what is known contradicts itself: the largest share by which a known height misses what the others tell;
   * 0 for one.
   */
  readonly spread: number;
}

/** The up direction of a view in camera axes right, down, forward. */
export function upOf({ pitch, roll }: { readonly pitch: number; readonly roll: number }): Vec3 {
  const [p, q] = [radians(pitch), radians(roll)];
  return [-Math.sin(q) * Math.cos(p), -Math.cos(q) * Math.cos(p), Math.sin(p)];
}

/**
 * A thing's height in eye heights: its foot is where the line of sight meets the ground, its top the place of the
 * upright over the foot that comes nearest to the line of sight to it (single view metrology: Criminisi, Reid and
 * Zisserman, IJCV 40, 2000 (from memory)). Null where the foot is not below the horizon.
 */
function inEyeHeights({ x1, y1, x2, y2 }: HeightLine, f: number, [cx, cy]: Vec2, up: Vec3): number | null {
  const ray = (x: number, y: number): Vec3 => unit([(x - cx) / f, (y - cy) / f, 1]);
  const [down, top] = [ray(x1, y1), ray(x2, y2)];
  const fall = -dot(down, up);
  if (fall <= 1e-9) return null;
  const foot = scale(down, 1 / fall);
  // Nearest places of foot + h up and t top.
  const across = cross(up, top);
  const square = dot(across, across);
  if (square < 1e-12) return null;
  const h = dot(cross(sub([0, 0, 0], foot), top), across) / square;
  const at = add(foot, scale(up, h));
  return dot(at, top) > 0 ? h : null;
}

/**
 * Heights of what stands on the ground of a reference, from one or more that are known.
 * @throws NoAnswer where the view is not known
 */
export function measureHeights(
  heights: readonly HeightLine[],
  { focalLength, centre, pitch, roll, lacking }: RecoveredView,
): Measured {
  if (!focalLength || pitch === null || roll === null) throw new NoAnswer(lacking ?? "The view is not known yet.");
  const up = upOf({ pitch, roll });
  const shares = heights.map((one) => inEyeHeights(one, focalLength.px, centre, up));
  const told = heights.flatMap(({ metres }, i) => {
    const share = shares[i];
    return metres !== undefined && share !== null && share > 1e-6 ? [metres / share] : [];
  });
  if (told.length === 0) return { eye: null, heights: heights.map(() => null), spread: 0 };
  const eye = told.reduce((sum, one) => sum + one, 0) / told.length;
  return {
    eye,
    heights: shares.map((share) => (share === null ? null : share * eye)),
    spread: Math.max(0, ...told.map((one) => Math.abs(one / eye - 1))),
  };
}
