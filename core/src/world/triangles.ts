import earcut from "earcut";
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
