import type { Vec2, Vec3 } from "../../../geometry";
import { cornersOf } from "../../outline";
import type { Facet, Plane, RaisedGround } from "../../terrain";
import { triangulated } from "../../triangulated";
import { crestOf, planeOf, validateGround } from "./crest";
import type { Ground } from "./schema";

/** The plane through three places, of which the plan shows a triangle. */
function planeThrough([ax, ay, az]: Vec3, [bx, by, bz]: Vec3, [cx, cy, cz]: Vec3): Plane {
  const [ux, uy, uz, vx, vy, vz] = [bx - ax, by - ay, bz - az, cx - ax, cy - ay, cz - az];
  const det = ux * vy - uy * vx;
  const [a, b] = [(uz * vy - uy * vz) / det, (ux * vz - uz * vx) / det];
  return [a, b, az - a * ax - b * ay];
}

const facetThrough = (corners: readonly Vec3[]): Facet => ({
  region: [corners.map(([x, y]): Vec2 => [x, y])],
  plane: planeThrough(corners[0], corners[1], corners[2]),
});

/** What raised ground is: nothing where it cannot be raised so. */
export function raisedGround(
  ground: Ground,
  held: (outline: readonly Vec2[]) => readonly Vec2[] = (outline) => outline,
): RaisedGround | null {
  if (validateGround(ground)) return null;
  const outline = held(cornersOf(ground));
  const crest = crestOf(ground, outline);
  if (!crest) return null;
  const { spots = [], bank } = ground;
  const plane = planeOf(ground, crest);
  const high = crest.map(([x, y]): Vec3 => [x, y, plane[0] * x + plane[1] * y + plane[2]]);
  const places = [...high, ...spots.map(({ x, y, z }): Vec3 => [x, y, z])];
  const top =
    spots.length === 0
      ? [{ region: [crest], plane }]
      : triangulated(
          crest,
          spots.map(({ x, y }): Vec2 => [x, y]),
        ).map((three) => facetThrough(three.map((n) => places[n])));
  if (bank === undefined) return { outline, facets: top };
  const banks = outline.flatMap(([x, y], i) => {
    const k = (i + 1) % outline.length;
    const [a, b]: Vec3[] = [
      [x, y, 0],
      [...outline[k], 0],
    ];
    // On a slope the two ends of a bank differ in height: it has two planes.
    return ground.slope
      ? [facetThrough([a, b, high[k]]), facetThrough([a, high[k], high[i]])]
      : [facetThrough([a, b, high[k], high[i]])];
  });
  return { outline, facets: [...top, ...banks] };
}
