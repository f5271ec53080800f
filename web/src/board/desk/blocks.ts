import { useMemo } from "react";
import { footAt, nearCorner } from "@zanvo/core/construct";
import { dot, sub, type Vec2 } from "@zanvo/core/geometry";
import type { Shot } from "@zanvo/core/scene";
import { project, viewOf, type View } from "@zanvo/core/shot";
import { blockCorner, boxOf, moved, stands, type Block, type Element } from "@zanvo/core/world";
import { useChosen } from "../../document";

/** What a foot on the ground may be drawn to: the blocks that stand for what stands there. */
export const standingOf = (elements: readonly Element[]): Block[] =>
  elements.filter((one) => stands(one) && !one.hidden).map(boxOf);

/**
 * The element moved over the ground so that the foot of its near corner is seen `by` mm away from where it was, drawn
 * to corners and street lines of the others within `reach` mm. Null where that would be above the horizon.
 */
export function moveElement(view: View, element: Element, others: readonly Element[], by: Vec2, reach: number) {
  const box = boxOf(element);
  const [x, y] = blockCorner(box, ...nearCorner(box, view.eye));
  const seen = project(view, [x, y, 0]);
  const foot = seen && footAt(view, standingOf(others), [seen[0] + by[0], seen[1] + by[1]], reach);
  return (
    foot && {
      element: moved(element, foot.at[0] - x, foot.at[1] - y),
      foot,
      far: Math.hypot(foot.at[0] - x, foot.at[1] - y),
    }
  );
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
  const chosen = useChosen();
  return useMemo(() => chosen && boxOf(chosen), [chosen]);
}
