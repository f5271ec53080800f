import type { Vec2, Vec3 } from "../geometry";
import { solidOf, type Solid } from "./solid";

/** A level ring of a shape: its corners counter-clockwise from above, and its height, m. */
export interface Ring {
  readonly points: readonly Vec2[];
  readonly z: number;
}

export const ring = (points: readonly Vec2[], z: number): Ring => ({ points, z });

/**
 * A closed solid between rings of as many corners each, from the lowest up, closed by a last flat ring or an apex.
 * @param apex the point that the last ring runs to, if it does
 * @param round joins that are no edges: `all` of the surface, each side's from ring to ring, those between two rings,
 * or those of the wall and those of what runs to the apex, each by itself
 */
export function loft(
  id: string,
  rings: readonly Ring[],
  apex: Vec3 | null,
  round?: "all" | "sides" | "rings" | "separate",
): Solid {
  const n = rings[0].points.length;
  const vertices: Vec3[] = rings.flatMap(({ points, z }) => points.map(([x, y]): Vec3 => [x, y, z]));
  const sides: number[][] = [];
  const groups: (number | undefined)[] = [];
  const names: string[] = [];
  const group = (side: number, ring: number, last = false) =>
    round && { all: 0, sides: side, rings: ring, separate: Number(last) }[round];
  for (let r = 0; r + 1 < rings.length; r++)
    for (let i = 0; i < n; i++) {
      const [a, b] = [r * n + i, r * n + ((i + 1) % n)];
      sides.push([a, b, b + n, a + n]);
      groups.push(group(i, r));
      names.push(r === 0 ? `wall ${i}` : `ring ${r} ${i}`);
    }
  const last = (rings.length - 1) * n;
  const bottom = Array.from({ length: n }, (_, i) => n - 1 - i);
  if (!apex)
    return solidOf(
      id,
      vertices,
      [bottom, Array.from({ length: n }, (_, i) => last + i), ...sides],
      [undefined, undefined, ...groups],
      ["bottom", "top", ...names],
    );
  for (let i = 0; i < n; i++) {
    sides.push([last + i, last + ((i + 1) % n), vertices.length]);
    groups.push(group(i, rings.length, true));
    names.push(`roof ${i}`);
  }
  return solidOf(id, [...vertices, apex], [bottom, ...sides], [undefined, ...groups], ["bottom", ...names]);
}

/**
 * A closed upright solid on an area of the plan that may have holes.
 * @param holes corners of each hole, counter-clockwise from above
 * @param from its foot and its top, m
 * @param curvesOf the curves that the walls of a ring are of, by numbers from one on; where nothing is said, none is
 */
export function prism(
  id: string,
  outer: readonly Vec2[],
  holes: readonly (readonly Vec2[])[],
  [from, to]: readonly [number, number],
  curvesOf?: (ring: readonly Vec2[], first: number) => readonly number[],
): Solid {
  const rings = [outer, ...holes];
  const places = rings.flat();
  const numbers = rings.map((ring, r) => {
    const start = rings.slice(0, r).reduce((sum, one) => sum + one.length, 0);
    return ring.map((_, i) => start + i);
  });
  const up = places.length;
  const vertices = [from, to].flatMap((z) => places.map(([x, y]): Vec3 => [x, y, z]));
  const walls = numbers.flatMap((ring, r) =>
    ring.map((a, i) => {
      const b = ring[(i + 1) % ring.length];
      return r === 0 ? [a, b, b + up, a + up] : [b, a, a + up, b + up];
    }),
  );
  const names = numbers.flatMap((ring, r) => ring.map((_, i) => (r === 0 ? `wall ${i}` : `yard ${r - 1} wall ${i}`)));
  const curves: number[] = [];
  if (curvesOf) for (const ring of rings) curves.push(...curvesOf(ring, Math.max(-1, ...curves) + 1));
  const [sides, ...inner] = numbers;
  return solidOf(
    id,
    vertices,
    [[...sides].reverse(), sides.map((n) => n + up), ...walls],
    [undefined, undefined, ...curves],
    ["bottom", "top", ...names],
    [inner, inner.map((ring) => ring.map((n) => n + up).reverse())],
  );
}

/**
 * A closed solid from an upright profile that is extruded level.
 * @param profile corners counter-clockwise, as seen from where it is extruded to: across and up, m
 * @param at where a corner is in the world, at the start (0) or at the end (1)
 * @param arc the corners between which the profile is round, from and to
 */
export function extrude(
  id: string,
  profile: readonly Vec2[],
  at: (corner: Vec2, out: 0 | 1) => Vec3,
  arc?: readonly [number, number],
): Solid {
  const n = profile.length;
  const vertices = ([0, 1] as const).flatMap((out) => profile.map((corner) => at(corner, out)));
  const near = Array.from({ length: n }, (_, i) => n - 1 - i);
  const far = Array.from({ length: n }, (_, i) => n + i);
  const sides = profile.map((_, i) => [i, (i + 1) % n, n + ((i + 1) % n), n + i]);
  return solidOf(
    id,
    vertices,
    [near, far, ...sides],
    [undefined, undefined, ...profile.map((_, i) => (arc && i >= arc[0] && i < arc[1] ? 0 : undefined))],
    ["start", "end", ...profile.map((_, i) => `side ${i}`)],
  );
}
