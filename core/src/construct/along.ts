import { along as onto, cross, dot, norm, sub, type Vec2, type Vec3 } from "../geometry";
import { project, unproject, type View } from "../shot";
import { vanishingPoint } from "../vanishing";

/**
 * How far along a world line a picture point lies: the point is first dropped square onto the line's picture, then the
 * line of sight through that foot is met with the line. Metres from `origin` in units of `direction`; null where the
 * picture of the line is a point, or the answer lies behind the eye.
 */
export function measureAlong(view: View, origin: Vec3, direction: Vec3, point: Vec2): number | null {
  const from = project(view, origin);
  if (!from) return null;
  const { at, ...slant } = vanishingPoint(view, direction);
  const angle = "angle" in slant ? (slant.angle * Math.PI) / 180 : 0;
  const way = at ? [at[0] - from[0], at[1] - from[1]] : [Math.cos(angle), Math.sin(angle)];
  const length = Math.hypot(way[0], way[1]);
  if (length < 1e-9) return null;
  const t = ((point[0] - from[0]) * way[0] + (point[1] - from[1]) * way[1]) / length ** 2;
  const ray = unproject(view, [from[0] + t * way[0], from[1] + t * way[1]]);
  return meet(origin, direction, view.eye, ray);
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

/** The world point `amount` metres along a direction. */
export const stepAlong = (origin: Vec3, direction: Vec3, amount: number): Vec3 => onto(origin, direction, amount / norm(direction));
