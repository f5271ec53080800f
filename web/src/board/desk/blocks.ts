import { useMemo } from "react";
import { footAt, nearCorner } from "@zanvo/core/construct";
import { degrees, dot, fromStretch, sub, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import type { Scene, Shot } from "@zanvo/core/scene";
import { project, viewOf, type View } from "@zanvo/core/shot";
import {
  blockCorner,
  boxOf,
  kindOf,
  moved,
  placesOf,
  stands,
  standsAt,
  type Block,
  type Element,
} from "@zanvo/core/world";
import { useStores } from "../../stores";

/** What a foot on the ground may be drawn to: the blocks that stand for what stands there. */
export const standingOf = (elements: readonly Element[]): Block[] =>
  elements.filter((one) => stands(one) && !one.hidden).map(boxOf);

/**
 * The element moved on the level of its foot so that the foot of its near corner is seen `by` mm away from where it
 * was, drawn to corners and street lines of the others within `reach` mm. Null where that level is not seen there.
 */
export function moveElement(view: View, element: Element, others: readonly Element[], by: Vec2, reach: number) {
  const box = boxOf(element);
  const [x, y] = blockCorner(box, ...nearCorner(box, view.eye));
  const { z } = box.origin;
  const seen = project(view, [x, y, z]);
  const foot = seen && footAt(view, standingOf(others), [seen[0] + by[0], seen[1] + by[1]], reach, z);
  return (
    foot && {
      element: moved(element, foot.at[0] - x, foot.at[1] - y),
      foot,
      far: Math.hypot(foot.at[0] - x, foot.at[1] - y),
    }
  );
}

/** The way of a path where it passes nearest to a place: its heading, degrees. */
function headingNear(path: readonly Vec2[], at: Vec2): number {
  const legs = path.slice(1).map((q, i) => ({ p: path[i], q, off: fromStretch(at, path[i], q) }));
  const { p, q } = legs.reduce((near, leg) => (leg.off < near.off ? leg : near));
  return degrees(Math.atan2(q[0] - p[0], q[1] - p[1]));
}

/**
 * What a building is raised along where its foot catches nothing: the way that it stands on, or else the pair of
 * streets that is chosen, or the main one.
 */
export function streetsAt(
  { elements, orientations }: Scene,
  [x, y]: Vec3,
  chosen: string,
): { readonly heading: number; readonly name: string } {
  const way = elements.find((one) => !one.hidden && kindOf(one).way && standsAt(one, [x, y]));
  if (way && placesOf(way).length > 1) return { heading: headingNear(placesOf(way), [x, y]), name: way.name };
  return orientations.find(({ id }) => id === chosen) ?? orientations[0] ?? { heading: 0, name: "north" };
}

/** The block whose near corner stands nearest before the eye of a shot, if any does. */
export function nearestBlock(elements: readonly Element[], shot: Shot): Block | undefined {
  const view = viewOf(shot);
  const depth = (block: Block) => dot(sub(blockCorner(block, ...nearCorner(block, view.eye)), view.eye), view.forward);
  const ahead = standingOf(elements).filter((block) => depth(block) > 0.1);
  return ahead.length ? ahead.reduce((near, block) => (depth(block) < depth(near) ? block : near)) : undefined;
}

/** The block that stands for the chosen element. */
export function useChosenBox(): Block | undefined {
  const { useChosen } = useStores();
  const chosen = useChosen();
  return useMemo(() => chosen && boxOf(chosen), [chosen]);
}
