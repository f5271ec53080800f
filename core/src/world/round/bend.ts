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

/** The place and the derivative of a bent edge at a parameter: the cubic of Hermite by its ends and derivatives there. */
export function onBend(a: Vec3, b: Vec3, [u, v]: Bend, t: number): { readonly at: Vec3; readonly way: Vec3 } {
  const s = 1 - t;
  const at = [0, 1, 2].map(
    (k) => s * s * (1 + 2 * t) * a[k] + t * t * (3 - 2 * t) * b[k] + t * s * (s * u[k] - t * v[k]),
  );
  const way = [0, 1, 2].map((k) => 6 * t * s * (b[k] - a[k]) + s * (1 - 3 * t) * u[k] + t * (3 * t - 2) * v[k]);
  return { at: t === 0 ? a : t === 1 ? b : [at[0], at[1], at[2]], way: [way[0], way[1], way[2]] };
}
