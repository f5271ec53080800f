import {
  add,
  along,
  cross,
  degrees,
  dot,
  headingDirection,
  norm,
  radians,
  scale,
  sub,
  type Vec2,
  type Vec3,
} from "../geometry";
import type { OwnPlane } from "./schema";

/** The axes of a plane in the world, of length 1, and its normal towards the front. */
export interface PlaneAxes {
  readonly x: Vec3;
  readonly y: Vec3;
  readonly normal: Vec3;
  readonly origin: Vec3;
}

export function axesOf({ origin, heading, tilt }: OwnPlane): PlaneAxes {
  const x = headingDirection(heading);
  const level = headingDirection(heading - 90);
  // Quarter turns are exact.
  const [c, s] = tilt === 90 ? [0, 1] : tilt === 180 ? [-1, 0] : [Math.cos(radians(tilt)), Math.sin(radians(tilt))];
  const y = add(scale(level, c), [0, 0, s]);
  return { x, y, normal: cross(x, y), origin: [origin.x, origin.y, origin.z] };
}

/** A place of a plane, m, in the world. */
export const inWorld = ({ origin, x, y }: PlaneAxes, [u, v]: Vec2): Vec3 => along(along(origin, x, u), y, v);

/** A place of the world on a plane, m: its foot, where it lies beside it. */
export function ontoPlane({ origin, x, y }: PlaneAxes, place: Vec3): Vec2 {
  const d = sub(place, origin);
  return [dot(d, x), dot(d, y)];
}

const tidy = (value: number): number => (Math.abs(value - Math.round(value)) < 1e-9 ? Math.round(value) : value);

/** The plane through a place with a normal towards its front. */
export function planeThrough(name: string, [x, y, z]: Vec3, normal: Vec3): OwnPlane {
  const [nx, ny, nz] = scale(normal, 1 / norm(normal));
  const level = Math.hypot(nx, ny);
  const origin = { x, y, z };
  if (level < 1e-9) return { name, origin, heading: 90, tilt: nz > 0 ? 0 : 180 };
  // The level direction that has the front on its right: the normal's own, turned a quarter to the left.
  const heading = degrees(Math.atan2(nx, ny)) - 90;
  return { name, origin, heading: tidy(heading), tilt: tidy(degrees(Math.atan2(level, nz))) };
}

/** A level plane at a height, m, whose x runs east. */
export const levelAt = (name: string, height: number): OwnPlane => ({
  name,
  origin: { x: 0, y: 0, z: height },
  heading: 90,
  tilt: 0,
});

/** Whether two planes are one, whatever their axes. */
export function samePlane(a: OwnPlane, b: OwnPlane): boolean {
  const [p, q] = [axesOf(a), axesOf(b)];
  return dot(p.normal, q.normal) > 1 - 1e-9 && Math.abs(dot(p.normal, sub(q.origin, p.origin))) < 1e-3;
}
