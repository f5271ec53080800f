import type { Vec2 } from "../../../geometry";
import { blockCorner, heightTags, type Block } from "../block";
import { elementKind } from "../kind";
import { crateCorners, hullOf } from "./axes";
import { CrateSchema, type Crate } from "./schema";
export { crateAxes, crateCorners } from "./axes";
export type { Crate } from "./schema";

/**
 * What a leaning box covers of the plan: the hull of its corners, counter-clockwise, from the first of them that is on
 * it, whichever way it is turned.
 */
export function crateOutline(crate: Crate): readonly Vec2[] {
  const places = crateCorners(crate).map(([x, y]): Vec2 => [x, y]);
  const hull = hullOf(places);
  const first = hull.indexOf(places.find((place) => hull.includes(place)) ?? hull[0]);
  return [...hull.slice(first), ...hull.slice(0, first)];
}

/** How far a leaning box reaches over its lowest corner, m. */
const reachOf = (crate: Crate): number => Math.max(...crateCorners(crate).map(([, , z]) => z - crate.middle.z));

/** A block that begins to lean, with what it carries. */
export function asCrate({ kind: _, origin, ...rest }: Block): Crate {
  const [x, y] = blockCorner({ origin, ...rest }, 0.5, 0.5);
  return { ...rest, kind: "crate", middle: { x, y, z: origin.z }, tilt: 0, roll: 0 };
}

export const crate = elementKind<Crate>(CrateSchema, {
  kind: "crate",
  word: "Crate",
  stands: true,
  outline: crateOutline,
  span: (element) => [element.middle.z, reachOf(element)],
  places: () => [],
  placed: (element) => element,
  geoJson: {
    write: (element) => ({ shape: "area", properties: heightTags(element.middle.z, reachOf(element)) }),
  },
});
