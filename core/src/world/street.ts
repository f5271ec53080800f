import { distance2, type Vec2, type Vec3 } from "../geometry";
import { crossingOf } from "./polygon";
import type { Street } from "./schemas";
import { loft } from "./shapes";
import type { Solid } from "./solid";

/** Measures of a street where nothing is said: two lanes of 3 m, pavements and kerb as they are usual (common practice); dashes of 10 ft with gaps of 30 ft (US MUTCD (from memory)). */
export const DEFAULT_STREET: Omit<Street, "id" | "kind" | "name" | "path"> = { carriageway: 6, pavement: 2.2, kerb: 0.12, slabs: 1.2, dashes: { line: 3.05, gap: 9.14 } };

/** Something drawn on a surface: a straight stretch, m. */
export interface Detail {
  readonly a: Vec3;
  readonly b: Vec3;
}

/** Half of the standard gauge, m; a crossing's stripes are half a metre wide with gaps as wide, and reach over so much of the street's length. */
const GAUGE = 1.435;
const STRIPE = 0.5;
const REACH = 3;
/** A mitre never reaches farther than this many times the offset. */
const SHARP = 4;
/** No street has more slab joints or dashes than this. */
const MOST = 4000;

/** A path moved to its right (to its left where negative), its corners mitred, m. */
function beside(path: readonly Vec2[], by: number): Vec2[] {
  const way = (i: number): Vec2 => {
    const [p, q] = [path[i], path[i + 1]];
    const long = distance2(p, q) || 1;
    return [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  };
  return path.map(([x, y], i) => {
    const [u, v] = [way(Math.max(0, i - 1)), way(Math.min(path.length - 2, i))];
    const k = by / Math.max(1 / SHARP, (1 + u[0] * v[0] + u[1] * v[1]) / 2) / 2;
    return [x + k * (u[1] + v[1]), y - k * (u[0] + v[0])];
  });
}

/** A path's corners, none on the one before it. */
export const pathOf = ({ path }: Pick<Street, "path">): readonly Vec2[] => path.map(({ x, y }): Vec2 => [x, y]).filter((p, i, all) => i === 0 || distance2(p, all[i - 1]) > 1e-3);

/** The ground that a street takes: its carriageway and pavements. */
export function ribbonOf(street: Street): readonly Vec2[] {
  const half = street.carriageway / 2 + street.pavement;
  const path = pathOf(street);
  return path.length < 2 ? path : [...beside(path, half), ...beside(path, -half).reverse()];
}

/** Why a street cannot be laid, and the field; null where it can. */
export function streetFault(street: Street): { readonly field: string; readonly message: string } | null {
  if (pathOf(street).length < 2) return { field: "path", message: "has no length." };
  return crossingOf(ribbonOf(street)) ? { field: "path", message: "bends too sharply for its width, or crosses itself." } : null;
}

/** The pavements of a street, as low solids. */
export function buildStreet(street: Street): Solid[] {
  const { carriageway, pavement, kerb } = street;
  if (streetFault(street) || pavement === 0 || kerb === 0) return [];
  const path = pathOf(street);
  return [1, -1].map((side) => {
    const [near, far] = [beside(path, (side * carriageway) / 2), beside(path, side * (carriageway / 2 + pavement))];
    const ring = side > 0 ? [...far, ...near.reverse()] : [...near, ...far.reverse()];
    return loft(street.id, [{ points: ring, z: 0 }, { points: ring, z: kerb }], null);
  });
}

/** A place so many m along a path and aside of it, to the right; null beyond its ends. */
function along(path: readonly Vec2[], s: number, aside: number): Vec2 | null {
  let left = s;
  for (let i = 0; i + 1 < path.length; i++) {
    const [p, q] = [path[i], path[i + 1]];
    const long = distance2(p, q);
    if (left <= long) {
      const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
      return [p[0] + left * ux + aside * uy, p[1] + left * uy - aside * ux];
    }
    left -= long;
  }
  return null;
}

/** What is drawn on a street: its sides where it has no kerb, slab joints, dashes, rails and crossings. */
export function streetDetails(street: Street): Detail[] {
  if (streetFault(street)) return [];
  const { carriageway, pavement, kerb, slabs, dashes, rails, crossings = [] } = street;
  const path = pathOf(street);
  const length = path.slice(1).reduce((sum, p, i) => sum + distance2(p, path[i]), 0);
  const out: Detail[] = [];
  const lay = (a: Vec2 | null, b: Vec2 | null, z: number) => {
    if (a && b) out.push({ a: [...a, z], b: [...b, z] });
  };
  const line = (by: number, z: number) => {
    const moved = beside(path, by);
    moved.slice(1).forEach((p, i) => lay(moved[i], p, z));
  };
  if (pavement === 0 || kerb === 0) for (const by of [carriageway / 2, -carriageway / 2, ...(pavement > 0 ? [carriageway / 2 + pavement, -carriageway / 2 - pavement] : [])]) line(by, 0);
  if (slabs && pavement > 0) {
    const count = Math.min(MOST, Math.floor(length / slabs));
    for (let i = 1; i < count; i++) for (const side of [1, -1]) lay(along(path, i * slabs, (side * carriageway) / 2), along(path, i * slabs, side * (carriageway / 2 + pavement)), kerb);
  }
  if (rails) for (const by of [GAUGE / 2, -GAUGE / 2]) line(by, 0);
  const crossed = (from: number, to: number) => crossings.some((at) => to > at - REACH / 2 - 0.5 && from < at + REACH / 2 + 0.5);
  if (dashes && !rails) {
    for (let s = 0, n = 0; s < length && n < MOST; s += dashes.line + dashes.gap, n++) {
      const end = Math.min(length, s + dashes.line);
      if (!crossed(s, end)) lay(along(path, s, 0), along(path, end, 0), 0);
    }
  }
  for (const at of crossings) {
    for (let t = -carriageway / 2 + STRIPE / 2; t + STRIPE <= carriageway / 2; t += 2 * STRIPE) {
      const [a, b, c, d] = [along(path, at - REACH / 2, t), along(path, at + REACH / 2, t), along(path, at + REACH / 2, t + STRIPE), along(path, at - REACH / 2, t + STRIPE)];
      for (const [p, q] of [[a, b], [b, c], [c, d], [d, a]] as const) lay(p, q, 0);
    }
  }
  return out;
}
