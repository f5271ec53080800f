import {
  add,
  degrees,
  dot,
  headingDirection,
  radians,
  scale,
  sub,
  unit,
  type Rect,
  type Vec2,
  type Vec3,
} from "../geometry";
import { LAWS, type LensLaw } from "../lens";
import type { Shot } from "../scene";

/** An eye's place, axes and lens on a sheet: everything that turns world metres into sheet millimetres. */
export interface View {
  readonly eye: Vec3;
  /** Unit axes of the eye in the world. */
  readonly right: Vec3;
  readonly up: Vec3;
  readonly forward: Vec3;
  readonly law: LensLaw;
  /** Centre of vision on the sheet, mm. */
  readonly centre: Vec2;
  /** Picture distance, mm. */
  readonly distance: number;
  /** The panel, in sheet mm. */
  readonly frame: Rect;
}

export interface Gaze {
  readonly heading: number;
  readonly pitch: number;
  readonly roll: number;
}

/** The axes of an eye that looks along a gaze, in degrees: heading clockwise from north, pitch up, roll clockwise. */
export function eyeAxes({ heading, pitch, roll }: Gaze): Pick<View, "right" | "up" | "forward"> {
  const f0 = headingDirection(heading);
  const r0 = headingDirection(heading + 90);
  const u0: Vec3 = [0, 0, 1];
  const [p, q] = [radians(pitch), radians(roll)];
  const forward = add(scale(f0, Math.cos(p)), scale(u0, Math.sin(p)));
  const u1 = add(scale(f0, -Math.sin(p)), scale(u0, Math.cos(p)));
  return {
    forward,
    right: sub(scale(r0, Math.cos(q)), scale(u1, Math.sin(q))),
    up: add(scale(r0, Math.sin(q)), scale(u1, Math.cos(q))),
  };
}

/** Angles nearer to nothing than this (degrees) are rounding: a level eye is exactly level. */
const tidy = (angle: number): number => (Math.abs(angle) < 1e-9 ? 0 : angle);

/**
 * The gaze of given eye axes: `eyeAxes` backwards. Straight up or down the heading is that of the picture's upper
 * side.
 */
export function gazeOf({ right, up, forward }: Pick<View, "right" | "up" | "forward">): Gaze {
  const level = Math.hypot(forward[0], forward[1]);
  if (level < 1e-9) {
    const down = forward[2] < 0 ? 1 : -1;
    return { heading: tidy(degrees(Math.atan2(down * up[0], down * up[1]))), pitch: -90 * down, roll: 0 };
  }
  const heading = tidy(degrees(Math.atan2(forward[0], forward[1])));
  const pitch = tidy(degrees(Math.atan2(forward[2], level)));
  const plain = eyeAxes({ heading, pitch, roll: 0 });
  return { heading, pitch, roll: tidy(degrees(Math.atan2(-dot(right, plain.up), dot(right, plain.right)))) };
}

/** A shot's lens: its law, on a disc that is cut off earlier with that as its limit. */
function lawOf({ law: id, within }: Shot["lens"]): LensLaw {
  const law: LensLaw = LAWS[id];
  return within === undefined || law.straight || law.shape !== "round"
    ? law
    : { ...law, limit: Math.min(law.limit, radians(within / 2)) };
}

/** The view of a shot. */
export function viewOf(shot: Shot): View {
  return {
    eye: [shot.eye.x, shot.eye.y, shot.eye.z],
    ...eyeAxes(shot.gaze),
    law: lawOf(shot.lens),
    centre: [shot.lens.centre.x, shot.lens.centre.y],
    distance: shot.lens.distance,
    frame: shot.frame,
  };
}

/** A world vector in eye axes: right, up, forward. */
export const toEye = (view: View, v: Vec3): Vec3 => [dot(v, view.right), dot(v, view.up), dot(v, view.forward)];

/** A vector in eye axes as a world vector. */
export const fromEye = (view: View, [a, b, c]: Vec3): Vec3 =>
  add(add(scale(view.right, a), scale(view.up, b)), scale(view.forward, c));

/** The sheet point (mm) where a world direction is seen, or null where the lens does not show it. */
export function projectDirection(view: View, direction: Vec3): Vec2 | null {
  const p = view.law.project(toEye(view, direction));
  return p && [view.centre[0] + view.distance * p[0], view.centre[1] - view.distance * p[1]];
}

/** The sheet point (mm) of a world point (m), or null where the lens does not show it. */
export const project = (view: View, point: Vec3): Vec2 | null => projectDirection(view, sub(point, view.eye));

/** The unit world direction seen at a sheet point (mm). */
export function unproject(view: View, [x, y]: Vec2): Vec3 {
  const { centre, distance, law } = view;
  return fromEye(view, law.unproject([(x - centre[0]) / distance, (centre[1] - y) / distance]));
}

/**
 * The world point seen at a sheet point on the plane `normal . p = offset`, or null where the line of sight runs beside
 * the plane or away from it.
 */
export function unprojectTo(view: View, point: Vec2, normal: Vec3, offset: number): Vec3 | null {
  const ray = unproject(view, point);
  const reach = (offset - dot(normal, view.eye)) / dot(normal, ray);
  return reach > 0 && Number.isFinite(reach) ? add(view.eye, scale(ray, reach)) : null;
}

/** The ground point (z = 0) seen at a sheet point, or null above the horizon. */
export const unprojectToGround = (view: View, point: Vec2): Vec3 | null => unprojectTo(view, point, [0, 0, 1], 0);

/**
 * Many points at once: `points` holds x y z (m) one after the other, the answer x y (mm), NaN where nothing is seen.
 * The straight lens runs through one fused matrix.
 */
export function projectMany(
  view: View,
  points: Float64Array,
  out = new Float64Array((points.length / 3) * 2),
): Float64Array {
  if (view.law === LAWS.rectilinear) return projectStraight(straightMatrix(view), points, out);
  for (let i = 0, o = 0; i < points.length; i += 3, o += 2) {
    const p = project(view, [points[i], points[i + 1], points[i + 2]]);
    out[o] = p ? p[0] : NaN;
    out[o + 1] = p ? p[1] : NaN;
  }
  return out;
}

/**
 * The straight lens: three rows of four (mm right, mm down, depth, each of a world point with a 1 behind it), and C.
 */
function straightMatrix({ eye, right, up, forward, centre, distance }: View): Float64Array {
  const rows = [scale(right, distance), scale(up, -distance), forward];
  return Float64Array.from([...rows.flatMap((row) => [...row, -dot(row, eye)]), ...centre]);
}

// The coefficients are read one by one from a typed array, so that the compiler knows them for doubles.
function projectStraight(m: Float64Array, points: Float64Array, out: Float64Array): Float64Array {
  const rx = m[0],
    ry = m[1],
    rz = m[2],
    re = m[3];
  const ux = m[4],
    uy = m[5],
    uz = m[6],
    ue = m[7];
  const fx = m[8],
    fy = m[9],
    fz = m[10],
    fe = m[11];
  const cx = m[12],
    cy = m[13];
  for (let i = 0, o = 0; i < points.length; i += 3, o += 2) {
    const x = points[i];
    const y = points[i + 1];
    const z = points[i + 2];
    const depth = fx * x + fy * y + fz * z + fe;
    if (depth > 0) {
      const k = 1 / depth;
      out[o] = cx + (rx * x + ry * y + rz * z + re) * k;
      out[o + 1] = cy + (ux * x + uy * y + uz * z + ue) * k;
    } else {
      out[o] = NaN;
      out[o + 1] = NaN;
    }
  }
  return out;
}

/** A unit vector pointing the way the eye looks, or `direction` turned round where it points away from it. */
export const facing = (view: View, direction: Vec3): Vec3 => {
  const d = unit(direction);
  return dot(d, view.forward) < 0 ? scale(d, -1) : d;
};
