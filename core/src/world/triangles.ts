import earcut from "earcut";
import { orient2d } from "robust-predicates";
import type { Vec2 } from "../geometry";
import { areaTwice } from "./polygon";

/** An area of the plan: its outer ring counter-clockwise, and its holes. */
export interface Area {
  readonly outer: readonly Vec2[];
  readonly holes: readonly (readonly Vec2[])[];
}

/** An area in triangles, counter-clockwise: corners by their numbers among the outer ring and then the holes. */
export function trianglesOf({ outer, holes }: Area): {
  readonly places: readonly Vec2[];
  readonly triangles: number[][];
} {
  const places = [outer, ...holes].flat();
  const starts = holes.map((_, i) => holes.slice(0, i).reduce((sum, hole) => sum + hole.length, outer.length));
  const corners = earcut(places.flat(), starts);
  const triangles = Array.from({ length: corners.length / 3 }, (_, t) => {
    const three = corners.slice(3 * t, 3 * t + 3);
    return areaTwice(three.map((n) => places[n])) > 0 ? three : three.reverse();
  });
  return { places, triangles };
}

/** Whether a ring turns to the left, or goes straight on, at one of its corners. */
function bendsLeft(ring: readonly number[], i: number, places: readonly Vec2[]): boolean {
  const n = ring.length;
  const [p, q, r] = [ring[(i + n - 1) % n], ring[i % n], ring[(i + 1) % n]].map((k) => places[k]);
  return orient2d(p[0], p[1], q[0], q[1], r[0], r[1]) <= 0;
}

/** Two convex rings that share the side from a to b as one; null where that would not be convex. */
function merged(one: readonly number[], other: readonly number[], a: number, b: number, places: readonly Vec2[]) {
  const [i, k] = [one.indexOf(a), other.indexOf(b)];
  const from = (ring: readonly number[], start: number) => [...ring.slice(start), ...ring.slice(0, start)];
  // The first from b round to a, then the other one from behind a round to before b.
  const ring = [...from(one, (i + 1) % one.length), ...from(other, (k + 2) % other.length).slice(0, -2)];
  const isConvex = bendsLeft(ring, 0, places) && bendsLeft(ring, one.length - 1, places);
  return isConvex && new Set(ring).size === ring.length ? ring : null;
}

/**
 * Triangles merged into convex polygons, by leaving out diagonals wherever that leaves no corner reflex (Hertel and
 * Mehlhorn, 1983 (from memory)): at most four times as many as there must be.
 * @param triangles counter-clockwise, by the numbers of places
 */
export function convexParts(places: readonly Vec2[], triangles: readonly (readonly number[])[]): (readonly number[])[] {
  const parts: (readonly number[] | null)[] = [...triangles];
  // By its directed side, the part that it is on: sides stay with a part as it grows.
  const owner = new Map<string, number>();
  const own = (ring: readonly number[], n: number) =>
    ring.forEach((a, i) => owner.set(`${a} ${ring[(i + 1) % ring.length]}`, n));
  triangles.forEach(own);
  for (const triangle of triangles)
    triangle.forEach((a, i) => {
      const b = triangle[(i + 1) % triangle.length];
      const [n, m] = [owner.get(`${a} ${b}`), owner.get(`${b} ${a}`)];
      if (n === undefined || m === undefined || n === m) return;
      const ring = merged(parts[n]!, parts[m]!, a, b, places);
      if (!ring) return;
      [parts[n], parts[m]] = [ring, null];
      owner.delete(`${a} ${b}`);
      owner.delete(`${b} ${a}`);
      own(ring, n);
    });
  return parts.flatMap((part) => (part ? [part] : []));
}
