import { add, between2, cross, cutRing, dot, scale, unit, type Vec2, type Vec3 } from "../geometry";
import { areaTwice, shared, without, type Face, type Region, type Solid } from "../world";
import { TOUCH } from "./occluder";

/** Smaller areas than this are rounding, twice their area, square metres. */
const SLIVER = 2e-7;

/** The plane of a face: an origin on it, and unit vectors in it, to the right and up as one stands before it. */
export interface FacePlane {
  readonly origin: Vec3;
  readonly right: Vec3;
  readonly up: Vec3;
}

export function planeOfFace({ normal, offset }: Pick<Face, "normal" | "offset">): FacePlane {
  const right = unit(Math.abs(normal[2]) < 0.9 ? cross([0, 0, 1], normal) : cross(normal, [1, 0, 0]));
  return { origin: scale(normal, offset), right, up: cross(normal, right) };
}

export const onPlane = ({ right, up }: FacePlane, p: Vec3): Vec2 => [dot(p, right), dot(p, up)];
export const inWorld = ({ origin, right, up }: FacePlane, [x, y]: Vec2): Vec3 =>
  add(origin, add(scale(right, x), scale(up, y)));

/** A face on its plane, counter-clockwise; of a sheet, which has no edges, its parts. */
export function outlineOnPlane(
  { vertices, edges }: Solid,
  { loop, holes = [], pieces }: Face,
  plane: FacePlane,
): Region {
  const rings = edges.length === 0 ? pieces : [loop, ...holes];
  return rings.map((ring) => ring.map((n) => onPlane(plane, vertices[n])));
}

/** A rectangle around a region, a little larger, counter-clockwise. */
export function boundsOf(region: Region): readonly Vec2[] {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const ring of region)
    for (const [x, y] of ring) [x0, y0, x1, y1] = [Math.min(x0, x), Math.min(y0, y), Math.max(x1, x), Math.max(y1, y)];
  const by = 1e-3;
  return [
    [x0 - by, y0 - by],
    [x1 + by, y0 - by],
    [x1 + by, y1 + by],
    [x0 - by, y1 + by],
  ];
}

/**
 * The part of a face's plane, within bounds, that a convex piece hides from an eye or a light: beyond the piece's plane
 * and within all its side planes, so a convex ring; null where it is none.
 * @param planes of an `Occluder`
 */
export function coveredOn(plane: FacePlane, bounds: readonly Vec2[], planes: Float64Array): readonly Vec2[] | null {
  const { origin, right, up } = plane;
  let ring: readonly Vec2[] = bounds;
  for (let i = 0; i < planes.length; i += 4) {
    const n: Vec3 = [planes[i], planes[i + 1], planes[i + 2]];
    const [a, b, c] = [dot(n, right), dot(n, up), dot(n, origin) - planes[i + 3]];
    const inside = ([x, y]: Vec2) => (i === 0 ? -a * x - b * y - c - TOUCH : a * x + b * y + c);
    ring = cutRing(ring, inside, between2);
    if (ring.length < 3) return null;
  }
  return areaTwice(ring) > SLIVER ? ring : null;
}

const withoutSlivers = (region: Region): Region => region.filter((ring) => Math.abs(areaTwice(ring)) > SLIVER);

/** The part of a face that lies within some convex rings, and outside others. */
export function partOf(face: Region, within: Region | null, outside: Region): Region {
  const own = within ? (within.length > 0 ? shared(face, within) : []) : face;
  return withoutSlivers(own.length > 0 && outside.length > 0 ? without(own, outside) : own);
}
