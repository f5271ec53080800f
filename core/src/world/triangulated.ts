import Constrainautor from "@kninnug/constrainautor";
import Delaunator from "delaunator";
import type { Vec2 } from "../geometry";
import { isWithin } from "./polygon";

type Triangle = readonly [number, number, number];

/** A triangle from its least number on. */
const fromLeast = ([a, b, c]: Triangle): Triangle => (a < b && a < c ? [a, b, c] : b < c ? [b, c, a] : [c, a, b]);

/**
 * The constrained Delaunay triangulation of places within a ring, whose sides stay: counter-clockwise triangles.
 * @param ring corners counter-clockwise
 * @param inner places strictly within it
 */
export function triangulated(ring: readonly Vec2[], inner: readonly Vec2[]): readonly Triangle[] {
  const places = [...ring, ...inner];
  const delaunay = Delaunator.from(places.map(([x, y]): [number, number] => [x, y]));
  const sides = ring.map((_, i): [number, number] => [i, (i + 1) % ring.length]);
  const { triangles } = new Constrainautor(delaunay, sides).del;
  const out: Triangle[] = [];
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [triangles[t + 2], triangles[t + 1], triangles[t]];
    const mean = (k: 0 | 1) => (places[a][k] + places[b][k] + places[c][k]) / 3;
    if (isWithin([mean(0), mean(1)], ring)) out.push(fromLeast([a, b, c]));
  }
  // The order in which they are found depends on rounding.
  return out.sort((one, other) => one[0] - other[0] || one[1] - other[1] || one[2] - other[2]);
}
