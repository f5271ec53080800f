import type { Vec3 } from "../geometry";
import type { Shot } from "../scene";
import { project, viewOf } from "../shot";

/** The shot `after`, its centre of vision moved so that a world point is drawn where `before` draws it. */
export function holding(before: Shot, after: Shot, point: Vec3): Shot {
  const [p, q] = [project(viewOf(before), point), project(viewOf(after), point)];
  if (!p || !q) return after;
  const { centre } = after.lens;
  return { ...after, lens: { ...after.lens, centre: { x: centre.x + p[0] - q[0], y: centre.y + p[1] - q[1] } } };
}
