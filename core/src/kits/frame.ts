import { degrees, headingDirection, wrap, type Vec2 } from "../geometry";
import { boxOf, centroid, kindOf, lifted, moved, outlineOf, placesOf, turned, type Element } from "../world";

/** Where a thing is in the world: a place of it, how high that is, m, and a heading, degrees. */
export interface Frame {
  readonly at: Vec2;
  readonly z: number;
  readonly heading: number;
}

const headingFrom = ([px, py]: Vec2, [qx, qy]: Vec2): number => degrees(Math.atan2(qx - px, qy - py));

/**
 * Where an element is, by what stays when its other measures are changed: its first place and the way to the next one;
 * where it hangs, the place it hangs by and the way out from its wall; of anything else its middle and its heading.
 */
export function frameOf(element: Element): Frame {
  const kind = kindOf(element);
  const hanging = kind.hangs?.(element);
  if (hanging) {
    const [nx, ny] = hanging.normal;
    return { at: [hanging.at[0], hanging.at[1]], z: hanging.at[2], heading: headingFrom([0, 0], [nx, ny]) };
  }
  const [z] = kind.span(element);
  const [first, second] = placesOf(element);
  if (second) return { at: first, z, heading: headingFrom(first, second) };
  return { at: centroid(outlineOf(element)), z, heading: kind.faces?.(element) ?? boxOf(element).heading };
}

/** Things taken along from one frame to another, as one. */
export function carriedOver(things: readonly Element[], from: Frame, to: Frame): Element[] {
  const turn = wrap(to.heading - from.heading, -180);
  const [dx, dy, dz] = [to.at[0] - from.at[0], to.at[1] - from.at[1], to.z - from.z];
  return things.map((one) => lifted(moved(turn === 0 ? one : turned(one, turn, from.at), dx, dy), dz));
}

/** How far things reach on the plan as one looks at them along a heading: m to the right of the origin, and towards. */
export function reachOf(things: readonly Element[], heading: number) {
  const [ux, uy] = headingDirection(heading);
  const spread = (way: (at: Vec2) => number) => {
    const all = things.flatMap((one) => outlineOf(one).map(way));
    return [Math.min(...all), Math.max(...all)] as const;
  };
  return { right: spread(([x, y]) => x * uy - y * ux), along: spread(([x, y]) => x * ux + y * uy) };
}
