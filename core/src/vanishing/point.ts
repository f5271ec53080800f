import { degrees, norm, wrap, type Vec2, type Vec3 } from "../geometry";
import { facing, projectDirection, toEye, type View } from "../shot";

/** Where parallels of one direction meet on the sheet: a point in mm, or, parallel to the picture, only a slant. */
export type VanishingPoint =
  | { readonly at: Vec2 }
  /**
   * Degrees clockwise from right, in [0, 180): all lines of the set are drawn at this angle. Null in a curved lens,
   * which only leaves out points that lie beyond what it shows.
   */
  | { readonly at: null; readonly angle: number | null };

/** Sine of the angle to the picture plane below which a direction counts as parallel to it. */
const PARALLEL = 1e-12;

/**
 * The vanishing point of a world direction: either way round in a straight view, the one it goes to in a curved lens.
 */
export function vanishingPoint(view: View, direction: Vec3): VanishingPoint {
  if (!view.law.straight) {
    const seen = projectDirection(view, direction);
    return seen ? { at: seen } : { at: null, angle: null };
  }
  const [a, b, c] = toEye(view, direction);
  const at = Math.abs(c) > PARALLEL * norm(direction) ? projectDirection(view, facing(view, direction)) : null;
  if (at) return { at };
  const angle = wrap(degrees(Math.atan2(-b, a)), 0, 180);
  return { at: null, angle: 180 - angle < 1e-9 ? 0 : angle };
}
