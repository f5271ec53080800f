import { add, cross, dot, norm, scale, sub, unit, type Vec3 } from "../geometry";
import { DEFAULT_LINE_SPACING, type LineSpacing } from "../scene";
import { CurveBook, drawGreatCircle, toEye, TOLERANCE, type Curves, type View } from "../shot";
import type { Spread } from "./bundle";
import { frameOf, type MeasuredPlane } from "./measured";
import { halvings } from "./thinning";

/** Lines are thinned by halves at most this often on the way to their points. */
const HALVINGS = 4;

/**
 * A bundle in a curved lens: half great circles from a point to its opposite, evenly turned about both, `spacing` mm
 * apart midway at the scale of the middle of the picture. Towards either end every second one stops wherever neighbours
 * would come nearer than the least gap, and all stop short of the point. The one towards `through` is always there.
 * @param through a world direction away from the point
 */
export function curvedBundle(
  view: View,
  point: Vec3,
  { spacing }: Spread,
  through: Vec3,
  room: LineSpacing = DEFAULT_LINE_SPACING,
  tolerance = TOLERANCE,
): Curves {
  const w = unit(toEye(view, point));
  const side = toEye(view, through);
  const across = sub(side, scale(w, dot(side, w)));
  const first = norm(across) > 1e-9 ? unit(across) : unit(cross(w, Math.abs(w[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]));
  const second = cross(w, first);
  const whole = 2 ** HALVINGS;
  const count = whole * Math.max(1, Math.ceil((2 * Math.PI * view.distance) / spacing / whole));
  const book = new CurveBook();
  for (let k = 0; k < count; k++) {
    const turn = (2 * Math.PI * k) / count;
    const v = add(scale(first, Math.cos(turn)), scale(second, Math.sin(turn)));
    // Neighbours of k's halving are this far apart midway, and sin sigma of that at sigma from the point.
    const spacing = (2 * Math.PI * view.distance * 2 ** halvings(k, HALVINGS)) / count;
    if (spacing <= room.gap) continue;
    const end = Math.max(room.clear / view.distance, Math.asin(room.gap / spacing));
    if (end < Math.PI / 2) drawGreatCircle(view, { u: w, v }, end, Math.PI - end, book, tolerance);
  }
  return book.curves();
}

/**
 * Curves of a measured plane, each with its number counted from the origin: `heavy` holds every n-th line.
 */
export interface MeasuredCurves {
  readonly light: Curves;
  readonly heavy: Curves;
}

/** Lines looked at on either side before a family is given up. */
const MAX_TRIES = 600;
const MEASURED_HALVINGS = 12;

/**
 * A measured grid in a curved lens: both families of a plane's lines, thinned towards their points as straight ones
 * are.
 */
export function curvedMeasured(
  view: View,
  orientation: number,
  gaze: number,
  plane: MeasuredPlane & { readonly heavy: number },
  gap = DEFAULT_LINE_SPACING.gap,
  tolerance = TOLERANCE,
): MeasuredCurves {
  const [origin, u, v] = frameOf(view, orientation, gaze, plane);
  const [light, heavy] = [new CurveBook(), new CurveBook()];
  for (const [way, step] of [
    [u, v],
    [v, u],
  ] as const) {
    const home = Math.round(dot(sub(view.eye, origin), step) / plane.every);
    const w = toEye(view, way);
    // The foot of the eye on line k, seen from the eye: with the line's direction it spans the plane of its picture.
    const foot = (k: number): Vec3 => {
      const at = sub(add(origin, scale(step, k * plane.every)), view.eye);
      return toEye(view, sub(at, scale(way, dot(at, way))));
    };
    const angle = (a: Vec3, b: Vec3) => Math.atan2(norm(cross(a, b)), dot(a, b));
    for (const side of [1, -1]) {
      for (let n = 0, k = side > 0 ? home : home - 1; n < MAX_TRIES; n++, k += side) {
        const here = foot(k);
        if (norm(here) < 1e-9) continue;
        const least = angle(here, foot(k + side)) * view.distance;
        if (least * 2 ** MEASURED_HALVINGS < gap) break;
        const stride = least < gap ? 2 ** Math.ceil(Math.log2(gap / least)) : 1;
        if (k % stride !== 0) {
          k = stride * (side > 0 ? Math.ceil(k / stride) : Math.floor(k / stride)) - side;
          continue;
        }
        const whole = 2 ** halvings(k, MEASURED_HALVINGS);
        const spacing = Math.min(angle(here, foot(k + whole)), angle(here, foot(k - whole))) * view.distance;
        if (spacing <= gap) continue;
        const end = Math.asin(gap / spacing);
        drawGreatCircle(
          view,
          { u: unit(w), v: unit(here) },
          end,
          Math.PI - end,
          k % plane.heavy === 0 ? heavy : light,
          tolerance,
        );
      }
    }
  }
  return { light: light.curves(), heavy: heavy.curves() };
}
