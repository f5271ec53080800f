import { degrees, distance2, wrap, type Vec2 } from "../geometry";
import {
  areClear,
  boxesMeet,
  boxOnPlan,
  footOn,
  inset,
  isWithin,
  kindOf,
  outlineOf,
  pathOf,
  type Element,
  type LanePlace,
} from "../world";

/** Nothing is aligned with a way farther off than this, m. */
const NEAR = 40;
/** Things that reach into each other by less than this touch, m. */
const TOUCHING = 0.05;

/** The nearest way within 40 m of a place: its heading there, degrees, and the nearest place of its middle line. */
export function wayBeside(
  elements: readonly Element[],
  at: Vec2,
): { readonly heading: number; readonly foot: Vec2 } | null {
  let best: { readonly heading: number; readonly foot: Vec2; readonly off: number } | null = null;
  for (const element of elements) {
    if (element.hidden || !kindOf(element).way || !("path" in element)) continue;
    const path = pathOf(element);
    if (path.length < 2) continue;
    const { foot, off, after } = footOn(at, path);
    if (off > NEAR || (best && off >= best.off)) continue;
    const [p, q] = [path[after], path[after + 1]];
    best = { heading: wrap(degrees(Math.atan2(q[0] - p[0], q[1] - p[1])), -180, 360), foot, off };
  }
  return best;
}

/** Where a vehicle runs that is put at a place, on its wheels or on rails: the first lane or track that takes it. */
export function laneAt(elements: readonly Element[], at: Vec2, onRails: boolean): LanePlace | null {
  for (const element of elements) {
    const place = element.hidden ? null : (kindOf(element).lane?.(element, at, onRails) ?? null);
    if (place) return place;
  }
  return null;
}

/**
 * The ends of a row in the order in which its houses, on the right of who walks from the first to the second, stand
 * away from the way beside it; where there is none, as they are.
 */
export function rowEnds(elements: readonly Element[], from: Vec2, to: Vec2): readonly [Vec2, Vec2] {
  const way = wayBeside(elements, [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]);
  if (!way) return [from, to];
  const [x, y] = way.foot;
  const toTheLeft = (to[0] - from[0]) * (y - from[1]) - (to[1] - from[1]) * (x - from[0]);
  return toTheLeft < -1e-6 * distance2(from, to) ? [to, from] : [from, to];
}

/** What stands where some things would be laid, of all but what lies on the ground. */
export function standingOn(laid: readonly Element[], elements: readonly Element[]): Element[] {
  // What only touches does not reach into the outlines moved inwards.
  const inners = laid.flatMap((one) => {
    const inner = inset(outlineOf(one), TOUCHING);
    return inner ? [{ inner, box: boxOnPlan(inner) }] : [];
  });
  return elements.filter((element) => {
    if (element.hidden || !kindOf(element).stands) return false;
    const outline = outlineOf(element);
    const own = boxOnPlan(outline);
    return inners.some(
      ({ inner, box }) =>
        boxesMeet(box, own) &&
        (!areClear(inner, outline, 0) || isWithin(inner[0], outline) || isWithin(outline[0], inner)),
    );
  });
}
