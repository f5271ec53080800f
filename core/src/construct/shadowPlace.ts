import { along, scale, type Vec3 } from "../geometry";
import { towardsLight, type Rays } from "../light";
import type { Solid } from "../world";
import { faceBefore } from "./pick";

/** A ray that leaves a place begins so far from it: what the place itself lies on does not stop it, m. */
const AWAY = 1e-6;

/**
 * Where the shadow of a place falls: the ray from the light through it first meets a face, or the ground, beyond it;
 * null where it meets nothing, or where the place is at the light.
 * @param solids what stands there, with the ground around what is dug
 */
export function shadowPlace(solids: readonly Solid[], rays: Rays, place: Vec3): Vec3 | null {
  if (rays.kind === "point" && rays.at.every((k, i) => k === place[i])) return null;
  const ray = scale(towardsLight(rays, place), -1);
  const from = along(place, ray, AWAY);
  const face = faceBefore(solids, from, ray);
  // Open ground is at 0; where it is dug, it is a sheet of its own among the solids.
  const reach = -place[2] / ray[2];
  const ground =
    solids.every(({ edges }) => edges.length > 0) && ray[2] < 0 && reach >= 0 ? along(place, ray, reach) : null;
  if (!face || !ground) return face?.at ?? ground;
  return face.at[2] > 0 ? face.at : ground;
}
