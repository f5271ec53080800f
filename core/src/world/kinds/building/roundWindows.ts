import type { Vec2, Vec3 } from "../../../geometry";
import type { Detail } from "../../details";
import { sideOf } from "../../polygon";

/** A window on a round wall: m along it from its first corner, and from where to where it reaches up. */
export interface RoundWindow {
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  /** Its place in the row of its storey. */
  readonly index: number;
}

/** The stretches of a round wall between two places along it, facet by facet; past its last corner it begins anew. */
function facetsBetween(ring: readonly Vec2[], from: number, to: number) {
  const out: { readonly facet: number; readonly a: Vec2; readonly b: Vec2 }[] = [];
  let passed = 0;
  for (let turn = 0; turn < 2; turn++)
    ring.forEach((_, facet) => {
      const { p, u, long } = sideOf(ring, facet);
      const [s, t] = [Math.max(from, passed) - passed, Math.min(to, passed + long) - passed];
      const at = (k: number): Vec2 => [p[0] + k * u[0], p[1] + k * u[1]];
      if (t - s > 1e-6) out.push({ facet, a: at(s), b: at(t) });
      passed += long;
    });
  return out;
}

/**
 * The lines of a window on a round wall: its head and sill follow the facets that stand for the wall.
 * @param faces the face of the solid that each facet is
 */
export function roundFrame(
  ring: readonly Vec2[],
  { from, to, low, high, index }: RoundWindow,
  z: number,
  faces: readonly Detail["on"][],
): Detail[] {
  const facets = facetsBetween(ring, from, to);
  const [first, last] = [facets[0], facets[facets.length - 1]];
  if (!first || !last) return [];
  const item = { index };
  const up = ([x, y]: Vec2, over: number): Vec3 => [x, y, z + over];
  const line = (facet: number, a: Vec3, b: Vec3): Detail => ({ kind: "window", a, b, on: faces[facet], item });
  return [
    line(first.facet, up(first.a, low), up(first.a, high)),
    line(last.facet, up(last.b, low), up(last.b, high)),
    ...facets.flatMap(({ facet, a, b }) => [low, high].map((over) => line(facet, up(a, over), up(b, over)))),
  ];
}
