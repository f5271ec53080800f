import { metres, sentence } from "../units";
import { distance2, type Vec2 } from "../geometry";
import {
  boxOf,
  kindOf,
  outlineOf,
  raisedBy,
  sideOf,
  stands,
  standsAt,
  terrainOf,
  type Element,
  type Terrain,
} from "../world";
import { tenth, type Check } from "./finding";

/** The eye is put so far before the wall that it is nearest to, m. */
const CLEAR = 0.5;

/**
 * Whether a place is within the walls of an element, up to its eaves; one in a passage through it, or in a room, is
 * not.
 */
function within(element: Element, at: Vec2, z: number, terrain: Terrain): boolean {
  const { origin, height } = boxOf(element);
  const foot = origin.z + raisedBy(element, at, terrain);
  return z > foot && z < foot + height && standsAt(element, at) && !kindOf(element).letsIn?.(element, at, z - foot);
}

/** The nearest place before a wall of an element, out of it, seen from within. */
function outside(element: Element, [x, y]: Vec2): Vec2 {
  const points = outlineOf(element);
  const ways = points.map((_, i) => {
    const { p, u } = sideOf(points, i);
    // To the right of a side that runs counter-clockwise lies the outside.
    const [nx, ny] = [u[1], -u[0]];
    const off = (p[0] - x) * nx + (p[1] - y) * ny;
    return { off, place: [x + (off + CLEAR) * nx, y + (off + CLEAR) * ny] as Vec2 };
  });
  // Beyond a side of a notch one may still be inside; beyond some side one is not.
  return ways
    .filter(({ off, place }) => off >= 0 && !standsAt(element, place))
    .reduce((least, one) => (one.off < least.off ? one : least)).place;
}

/** The eye stands inside something: its walls from within are all that is seen. */
export const insideThing: Check = ({ scene, shot }) => {
  const { x, y, z } = shot.eye;
  const terrain = terrainOf(scene.elements);
  const element = scene.elements.find((one) => !one.hidden && stands(one) && within(one, [x, y], z, terrain));
  if (!element) return [];
  const [ox, oy] = outside(element, [x, y]);
  const far = distance2([x, y], [ox, oy]);
  return [
    {
      id: `eye-inside-${element.id}`,
      severity: "warning",
      where: element.name,
      at: null,
      value: tenth(far),
      unit: "m",
      message: sentence`The eye stands inside ${element.name}: its walls from within are all that is seen. Out of it
        is ${metres(far, 1)} away.`,
      fix: {
        label: sentence`Put the eye ${metres(far, 1)} farther, before its wall`,
        shot: { ...shot, eye: { ...shot.eye, x: ox, y: oy } },
      },
    },
  ];
};
