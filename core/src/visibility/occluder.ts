import { cross, dot, norm, scale, sub, type Vec3 } from "../geometry";
import type { Solid } from "../world";

/** Nearer than this to a plane counts as on it, in m. */
export const TOUCH = 1e-6;

/**
 * The sides of a pyramid take in their own plane by this much, in m: a line of sight that runs exactly through the edge
 * between two faces is stopped there.
 */
const RIM = 1e-9;

/**
 * A convex piece of a face as it stands in the way of the eye: hidden is what lies beyond its plane, inside every side
 * plane through the eye and one edge of the piece. All planes are rows nx ny nz k with n . p - k; the first is negative
 * beyond the face, the others positive inside.
 */
export interface Occluder {
  readonly solid: number;
  readonly face: number;
  /** Its corners, vertex numbers of its solid. */
  readonly loop: readonly number[];
  readonly planes: Float64Array;
  /** It comes no nearer to the eye than this, m. */
  readonly near: number;
}

/** The occluders of a face; none where the eye looks along it. */
export function occludersOf(solids: readonly Solid[], solid: number, face: number, eye: Vec3): Occluder[] {
  const { faces } = solids[solid];
  const { pieces, normal, offset } = faces[face];
  const height = dot(normal, eye) - offset;
  return Math.abs(height) <= TOUCH ? [] : pieces.map((loop) => pieceOf(solids, solid, face, loop, height, eye));
}

function pieceOf(
  solids: readonly Solid[],
  solid: number,
  face: number,
  loop: readonly number[],
  height: number,
  eye: Vec3,
): Occluder {
  const { vertices, faces } = solids[solid];
  const { normal, offset } = faces[face];
  const planes = new Float64Array(4 * (loop.length + 1));
  const put = (row: number, n: Vec3, k: number, sign: number) =>
    planes.set([n[0] * sign, n[1] * sign, n[2] * sign, k * sign], 4 * row);
  // VisibleEdges from the front the loop turns left about the line of sight, seen from behind it turns right.
  const side = height > 0 ? 1 : -1;
  put(0, normal, offset, side);
  loop.forEach((number, i) => {
    const a = sub(vertices[number], eye);
    const b = sub(vertices[loop[(i + 1) % loop.length]], eye);
    const across = cross(a, b);
    const n = scale(across, 1 / norm(across));
    put(i + 1, n, dot(n, eye), -side);
  });
  // All of it lies within the ball about its first corner that holds the others.
  const first = vertices[loop[0]];
  const reach = loop.reduce((most, number) => Math.max(most, norm(sub(vertices[number], first))), 0);
  return { solid, face, loop, planes, near: Math.max(Math.abs(height), norm(sub(first, eye)) - reach) };
}

/**
 * Where a face hides a segment a b, as [t0, t1] written to `out`.
 * @param touch nearer to the face's plane than this it is on it, m
 * @returns false where it hides nothing
 */
export function hiddenInterval(planes: Float64Array, a: Vec3, b: Vec3, out: [number, number], touch = TOUCH): boolean {
  let [t0, t1] = [0, 1];
  for (let i = 0; i < planes.length; i += 4) {
    const [x, y, z, k] = [planes[i], planes[i + 1], planes[i + 2], planes[i + 3]];
    let ga = x * a[0] + y * a[1] + z * a[2] - k;
    let gb = x * b[0] + y * b[1] + z * b[2] - k;
    if (i === 0) [ga, gb] = [-ga - touch, -gb - touch];
    else [ga, gb] = [ga + RIM, gb + RIM];
    if (ga <= 0 && gb <= 0) return false;
    if (ga < 0) t0 = Math.max(t0, ga / (ga - gb));
    else if (gb < 0) t1 = Math.min(t1, ga / (ga - gb));
    if (t0 >= t1) return false;
  }
  out[0] = t0;
  out[1] = t1;
  return true;
}

/** Whether an occluder hides all of the corners of a face, none of what is between them, or some. */
export function covers(planes: Float64Array, corners: readonly Vec3[]): "all" | "none" | "some" {
  let all = true;
  for (let i = 0; i < planes.length; i += 4) {
    let inside = 0;
    for (const [x, y, z] of corners) {
      const off = planes[i] * x + planes[i + 1] * y + planes[i + 2] * z - planes[i + 3];
      if (i === 0 ? off < -TOUCH : off > -RIM) inside++;
    }
    if (inside === 0) return "none";
    if (inside < corners.length) all = false;
  }
  return all ? "all" : "some";
}
