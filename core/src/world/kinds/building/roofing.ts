import { add, cross, dot, fromStretch, scale, unit, type Vec2, type Vec3 } from "../../../geometry";
import type { Detail, DetailItem } from "../../details";
import { coursed, type Hatch } from "../../hatching";
import type { Face, Solid } from "../../solid";
import { COVERS } from "./roofs";
import type { Building } from "./schema";

/** What is nearer to level or upright than this is no slope: the sine or the cosine of its angle. */
const LEVEL = 0.02;
/** A hint of a roof's cover reaches so far from its edges, m. */
const HINT = 0.7;

/** Whether a face of a roof is laid with pieces: it slopes, looks up, and is no part of something round. */
const isSlope = ({ normal: [, , nz], round }: Face): boolean =>
  round === undefined && nz > LEVEL && nz < 1 - LEVEL ** 2;

/** The ways of a slope: level along it, and up it. */
function waysOf({ normal }: Face): readonly [along: Vec3, up: Vec3] {
  const along = unit(cross([0, 0, 1], normal));
  return [along, cross(normal, along)];
}

/** How near a place lies to the rim of an area, m. */
const nearness = (at: Vec2, ring: readonly Vec2[]): number =>
  Math.min(...ring.map((p, i) => fromStretch(at, p, ring[(i + 1) % ring.length])));

/** What is left of lines for a hint: those near the rim. */
function hinted(lines: readonly Hatch[], ring: readonly Vec2[]): readonly Hatch[] {
  const near = (p: Vec2) => nearness(p, ring) < HINT;
  return lines.flatMap(({ a, b, index }): Hatch[] => {
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (long <= 2 * HINT) return near([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]) ? [{ a, b, index }] : [];
    const at = (k: number): Vec2 => [a[0] + (k / long) * (b[0] - a[0]), a[1] + (k / long) * (b[1] - a[1])];
    return [
      { a, b: at(HINT), index },
      { a: at(long - HINT), b, index },
    ];
  });
}

/**
 * The joints of what the slopes of a roof are laid with.
 * @param top the part that the roof is on, where it is one with it
 * @param leastLength joints that are nearer together than this are left out, m
 */
export function roofingOf({ roof }: Building, top: string, solids: readonly Solid[], leastLength = 0): Detail[] {
  if (!roof.cover) return [];
  const { wide, gauge } = COVERS[roof.cover];
  return solids
    .filter(({ part }) => part === top || part === "roof")
    .flatMap((solid) =>
      solid.faces.flatMap((face, n): Detail[] => {
        if (!isSlope(face) || face.holes?.length) return [];
        const [along, up] = waysOf(face);
        const origin = solid.vertices[face.loop[0]];
        const flat = face.loop.map((at): Vec2 => {
          const p = solid.vertices[at];
          const d: Vec3 = [p[0] - origin[0], p[1] - origin[1], p[2] - origin[2]];
          return [dot(d, along), dot(d, up)];
        });
        // Courses are laid from the eaves up.
        const eaves = Math.min(...flat.map(([, v]) => v));
        const ring = flat.map(([s, v]): Vec2 => [s, v - eaves]);
        const lines = coursed([ring], [1, 0], { long: wide, high: gauge, shift: 0.5 }, leastLength);
        const at = ([s, v]: Vec2): Vec3 => add(origin, add(scale(along, s), scale(up, v + eaves)));
        const items = new Map<string, DetailItem>();
        return (roof.hint ? hinted(lines, ring) : lines).map(({ a, b, index }): Detail => {
          const key = `${a[1] === b[1] ? "course" : "joint"} ${index}`;
          const item = items.get(key) ?? { index };
          items.set(key, item);
          return { kind: "roofing", a: at(a), b: at(b), on: { solid, face: n }, item };
        });
      }),
    );
}
