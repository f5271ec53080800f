import { along, cross, dot, sub, type Vec2, type Vec3 } from "../geometry";
import { unproject, type View } from "../shot";
import type { Face, Solid } from "../world";

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

/** A face that a ray goes through. */
interface Hit {
  readonly reach: number;
  readonly face: Face;
}

/** Where a ray first goes through a face of any solid, or null: piece by piece of those that face it. */
const pierces = (solid: Solid, eye: Vec3, ray: Vec3): number | null => faceHit(solid, eye, ray)?.reach ?? null;

/** The first face of a solid that a ray goes through, or null. */
function faceHit({ faces, vertices }: Solid, eye: Vec3, ray: Vec3): Hit | null {
  let nearest: Hit | null = null;
  for (const face of faces) {
    const { normal, offset, pieces } = face;
    const rate = dot(normal, ray);
    const reach = (offset - dot(normal, eye)) / rate;
    if (!(rate < 0 && reach > 0) || (nearest !== null && reach >= nearest.reach)) continue;
    const at = along(eye, ray, reach);
    const within = pieces.some((piece) =>
      piece.every((n, i) => {
        const [a, b] = [vertices[n], vertices[piece[(i + 1) % piece.length]]];
        return dot(normal, cross(sub(b, a), sub(at, a))) >= 0;
      }),
    );
    if (within) nearest = { reach, face };
  }
  return nearest;
}

/** A face that is seen at a place of the picture. */
export interface PickedFace {
  /** The id of its solid. */
  readonly id: string;
  readonly name?: string;
  /** Its unit normal, outward. */
  readonly normal: Vec3;
  /** The place of it that is seen there, m. */
  readonly at: Vec3;
  readonly corners: readonly Vec3[];
}

/** The nearest face that is seen at a picture point, or null. */
export const pickFace = (view: View, solids: readonly Solid[], point: Vec2): PickedFace | null =>
  faceBefore(solids, view.eye, unproject(view, point));

/** The first face that a ray from a place goes through, from its outer side; or null. */
export function faceBefore(solids: readonly Solid[], from: Vec3, ray: Vec3): PickedFace | null {
  let best: (Hit & { readonly solid: Solid }) | null = null;
  for (const solid of solids) {
    const hit = faceHit(solid, from, ray);
    if (hit && (!best || hit.reach < best.reach)) best = { ...hit, solid };
  }
  if (!best) return null;
  const { solid, face, reach } = best;
  return {
    id: solid.id,
    name: face.name,
    normal: face.normal,
    at: along(from, ray, reach),
    corners: face.loop.map((n) => solid.vertices[n]),
  };
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
