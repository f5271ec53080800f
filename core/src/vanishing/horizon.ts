import { clipToRect, norm, type Rect, type Vec2, type Vec3 } from "../geometry";
import { toEye, type View } from "../shot";

/** The line a x + b y + c = 0 on the sheet (mm), with a^2 + b^2 = 1. */
export interface Line {
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

/**
 * The vanishing line of every plane with a world normal in a straight view, or null when it is nowhere on the sheet's
 * plane, or a curve.
 */
export function vanishingLine(view: View, normal: Vec3): Line | null {
  if (!view.law.straight) return null;
  const [na, nb, nc] = toEye(view, normal);
  const k = Math.hypot(na, nb);
  if (k < 1e-12 * norm(normal)) return null;
  const [cx, cy] = view.centre;
  const [a, b] = [na / k, -nb / k];
  return { a, b, c: (nc * view.distance) / k - a * cx - b * cy };
}

/**
 * The horizon: the vanishing line of level planes. Null when the eye looks straight up or down, and in a curved lens.
 */
export const horizon = (view: View): Line | null => vanishingLine(view, [0, 0, 1]);

/** A point of the line, and its direction (pointing right, or down where it is upright). */
export function lineFrame({ a, b, c }: Line): { readonly at: Vec2; readonly along: Vec2 } {
  const flip = -b < 0 || (b === 0 && a < 0) ? -1 : 1;
  return { at: [-a * c, -b * c], along: [-b * flip, a * flip] };
}

/** The nearest point of the line. */
export function footOn({ a, b, c }: Line, [x, y]: Vec2): Vec2 {
  const off = a * x + b * y + c;
  return [x - a * off, y - b * off];
}

/** The stretch of the line inside a rectangle, left end first, or null. */
export function lineIn(line: Line, rect: Rect): readonly [Vec2, Vec2] | null {
  const { at, along } = lineFrame(line);
  const range = clipToRect(at, along, rect);
  if (!range) return null;
  const on = (t: number): Vec2 => [at[0] + t * along[0], at[1] + t * along[1]];
  return [on(range[0]), on(range[1])];
}

/** Where the line crosses the upright at x, or null where it is upright itself. */
export const heightAt = ({ a, b, c }: Line, x: number): number | null =>
  Math.abs(b) < 1e-12 ? null : -(a * x + c) / b;
