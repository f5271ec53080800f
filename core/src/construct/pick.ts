import { along, cross, dot, sub, type Vec2, type Vec3 } from "../geometry";
import { unproject, type View } from "../shot";
import type { Solid } from "../world";

/** The id of the nearest solid that is seen at a picture point, or null. */
export function pickSolid(view: View, solids: readonly Solid[], point: Vec2): string | null {
  const ray = unproject(view, point);
  let best: { id: string; reach: number } | null = null;
  for (const solid of solids) {
    const reach = solid.convex ? enters(solid, view.eye, ray) : pierces(solid, view.eye, ray);
    if (reach !== null && (!best || reach < best.reach)) best = { id: solid.id, reach };
  }
  return best && best.id;
}

/** Where a ray first goes through a face of any solid, or null: piece by piece of those that face it. */
function pierces({ faces, vertices }: Solid, eye: Vec3, ray: Vec3): number | null {
  let nearest: number | null = null;
  for (const { normal, offset, pieces } of faces) {
    const rate = dot(normal, ray);
    const reach = (offset - dot(normal, eye)) / rate;
    if (!(rate < 0 && reach > 0) || (nearest !== null && reach >= nearest)) continue;
    const at = along(eye, ray, reach);
    const within = pieces.some((piece) =>
      piece.every((n, i) => {
        const [a, b] = [vertices[n], vertices[piece[(i + 1) % piece.length]]];
        return dot(normal, cross(sub(b, a), sub(at, a))) >= 0;
      }),
    );
    if (within) nearest = reach;
  }
  return nearest;
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
