import { along, cross, dot, scale, sub, unit, type Vec3 } from "../geometry";
import type { Rays } from "../light";
import type { Detail, DetailKind, Face } from "../world";

/** An opening in a wall that is drawn with what lies behind it, and how deep that is, m. */
export interface Recess {
  /** A convex polygon on the wall, counter-clockwise as it is seen from outside, m. */
  readonly opening: readonly Vec3[];
  readonly depth: number;
}

/** A flat part of a recess: what closes it at the back, or a side of it. */
export interface RecessPart {
  readonly corners: readonly Vec3[];
  readonly normal: Vec3;
  readonly isBack: boolean;
}

/** Less deep than this an opening is drawn flat, m. */
const FLAT = 1e-3;

/** Lines of this kind of detail tell how deep an opening is. */
const REVEAL: DetailKind = "reveal";

/** The recesses in a face, from the lines that are drawn on its solid. */
export function recessesOf(
  details: readonly Detail[],
  number: number,
  { normal, offset }: Pick<Face, "normal" | "offset">,
): readonly Recess[] {
  const depths = new Map<readonly Vec3[], number>();
  for (const { kind, on, through, a, b } of details) {
    if (!through || on?.face !== number || kind !== REVEAL) continue;
    const deep = Math.max(offset - dot(normal, a), offset - dot(normal, b));
    depths.set(through, Math.max(depths.get(through) ?? 0, deep));
  }
  return [...depths].flatMap(([opening, depth]) => (depth > FLAT ? [{ opening, depth }] : []));
}

/** The back and the sides of a recess, as they look into it. */
export function partsOfRecess({ opening, depth }: Recess, normal: Vec3): readonly RecessPart[] {
  const deep = opening.map((p) => along(p, normal, -depth));
  const sides = opening.map((p, i): RecessPart => {
    const k = (i + 1) % opening.length;
    return {
      corners: [p, opening[k], deep[k], deep[i]],
      normal: unit(cross(normal, sub(opening[k], p))),
      isBack: false,
    };
  });
  return [{ corners: deep, normal, isBack: true }, ...sides];
}

/**
 * The planes through a light or an eye and the sides of a convex polygon that is looked at from its front, their unit
 * normals pointing into what is seen through it: normal . p >= offset.
 */
export const planesThrough = (rays: Rays, opening: readonly Vec3[]): readonly (readonly [Vec3, number])[] =>
  opening.flatMap((p, i) => {
    const side = sub(opening[(i + 1) % opening.length], p);
    const into =
      rays.kind === "point"
        ? cross(sub(opening[(i + 1) % opening.length], rays.at), sub(p, rays.at))
        : cross(rays.towards, side);
    const size = Math.hypot(...into);
    if (size === 0) return [];
    const normal = scale(into, 1 / size);
    return [[normal, dot(normal, p)] as const];
  });
