import { dot, type Vec2, type Vec3 } from "../geometry";
import { unproject, type View } from "../shot";
import type { Solid } from "../world";

/** The id of the nearest convex solid that is seen at a picture point, or null. */
export function pickSolid(view: View, solids: readonly Solid[], point: Vec2): string | null {
  const ray = unproject(view, point);
  let best: { id: string; reach: number } | null = null;
  for (const solid of solids) {
    const reach = enters(solid, view.eye, ray);
    if (reach !== null && (!best || reach < best.reach)) best = { id: solid.id, reach };
  }
  return best && best.id;
}

/** Where a ray enters a convex solid (0 from inside), or null: the faces' half-spaces, one after the other. */
function enters({ faces }: Solid, eye: Vec3, ray: Vec3): number | null {
  let [near, far] = [0, Infinity];
  for (const { normal, offset } of faces) {
    const rate = dot(normal, ray);
    const room = offset - dot(normal, eye);
    if (rate === 0) {
      if (room < 0) return null;
    } else if (rate < 0) near = Math.max(near, room / rate);
    else far = Math.min(far, room / rate);
  }
  return near < far ? near : null;
}
