import { cross, dot, norm, scale, sub, type Vec3 } from "../../geometry";

/** What a curved edge does at its ends: its derivatives there by a parameter that runs from 0 to 1, m. */
export type Bend = readonly [Vec3, Vec3];

/**
 * The cubic between two places of a curve by the directions of the curve there (Hermite), as long at both ends as is
 * best for an arc of the turn between them: of a circle it leaves no more than the sixth power of that turn.
 */
export function bendBetween(a: Vec3, along: Vec3, b: Vec3, on: Vec3): Bend {
  const way = sub(b, a);
  const chord = norm(way);
  const [u, v] = [along, on].map((one) => scale(one, Math.sign(dot(one, way)) || 1));
  const turn = Math.atan2(norm(cross(u, v)), dot(u, v));
  const length = turn < 1e-9 ? chord : (chord * 2 * Math.tan(turn / 4)) / Math.sin(turn / 2);
  return [scale(u, length), scale(v, length)];
}
