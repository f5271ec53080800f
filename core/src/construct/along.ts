import { cross, dot, radians, sub, type Vec2, type Vec3 } from "../geometry";
import { project, unproject, type View } from "../shot";
import { vanishingPoint } from "../vanishing";

/** A world line as it is drawn: where `origin` is seen, and the way on from there. Null where it cannot be followed. */
export function drawnLine(
  view: View,
  origin: Vec3,
  direction: Vec3,
): { readonly from: Vec2; readonly way: Vec2 } | null {
  const from = project(view, origin);
  if (!from) return null;
  const point = vanishingPoint(view, direction);
  const way: Vec2 = point.at
    ? [point.at[0] - from[0], point.at[1] - from[1]]
    : [Math.cos(radians(point.angle ?? 0)), Math.sin(radians(point.angle ?? 0))];
  return Math.hypot(...way) < 1e-9 ? null : { from, way };
}

/** The point of a drawn line nearest to a picture point. */
export function dropOnto({ from, way }: { readonly from: Vec2; readonly way: Vec2 }, [x, y]: Vec2): Vec2 {
  const t = ((x - from[0]) * way[0] + (y - from[1]) * way[1]) / (way[0] ** 2 + way[1] ** 2);
  return [from[0] + t * way[0], from[1] + t * way[1]];
}

/**
 * How far along a world line a picture point lies: the point is first dropped square onto the line's picture, then the
 * line of sight through that foot is met with the line. Metres from `origin` in units of `direction`; null where the
 * picture of the line is a point, or the answer lies behind the eye. In a curved lens nothing is dropped.
 */
export function measureAlong(view: View, origin: Vec3, direction: Vec3, point: Vec2): number | null {
  // A curve has no square drop that a hand could see: the line of sight itself is met with the line.
  if (!view.law.straight) return meet(origin, direction, view.eye, unproject(view, point));
  const line = drawnLine(view, origin, direction);
  return line && meet(origin, direction, view.eye, unproject(view, dropOnto(line, point)));
}

/** A gaze nearer than this to straight up or down (sine of the angle) faces no upright plane. */
const PLUMB = 0.02;

/**
 * How high over a place a picture point lies, on the upright under it: the line of sight is met with the upright plane
 * through the place that faces the gaze (in a curved lens, that faces the eye), so that a hand beside the drawn upright
 * means the height it is at. Metres; null where the line of sight does not come to the plane.
 */
export function heightOver(view: View, place: Vec3, point: Vec2): number | null {
  const to = sub(place, view.eye);
  const gaze = Math.hypot(view.forward[0], view.forward[1]);
  const [nx, ny] = view.law.straight && gaze > PLUMB ? view.forward : to;
  const ray = unproject(view, point);
  const [far, towards] = [to[0] * nx + to[1] * ny, ray[0] * nx + ray[1] * ny];
  if (far * towards <= 0) return null;
  return (ray[2] * far) / towards - to[2];
}

/** The parameter on the line p + s d nearest to the ray q + t e, or null where they run side by side or away. */
function meet(p: Vec3, d: Vec3, q: Vec3, e: Vec3): number | null {
  const n = cross(d, e);
  const nn = dot(n, n);
  if (nn < 1e-18 * dot(d, d) * dot(e, e)) return null;
  const pq = sub(q, p);
  const s = dot(cross(pq, e), n) / nn;
  const t = dot(cross(pq, d), n) / nn;
  return t > 0 ? s : null;
}

/** Length on paper, in mm, of a world segment; null where an end is out of sight. */
export function paperLength(view: View, a: Vec3, b: Vec3): number | null {
  const [p, q] = [project(view, a), project(view, b)];
  return p && q && Math.hypot(q[0] - p[0], q[1] - p[1]);
}
