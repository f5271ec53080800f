import { footAt, nearCorner } from "@zanvo/core/construct";
import { dot, sub, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import type { Shot } from "@zanvo/core/scene";
import { project, viewOf, type View } from "@zanvo/core/shot";
import { blockAxes, blockCorner, type Block } from "@zanvo/core/world";
import { edit, go, useBoard, type Recipe } from "../board";

/** A recipe that puts an element in the place of the one with its id. */
export const replaceElement = (element: Block): Recipe => (scene) => {
  const at = scene.elements.findIndex((one) => one.id === element.id);
  if (at >= 0) scene.elements[at] = element;
};

/** The block with its near corner's foot put on a place of the ground. */
function standAt(block: Block, corner: readonly [number, number], to: Vec3): Block {
  const from = blockCorner(block, ...corner);
  const { x, y, z } = block.origin;
  return { ...block, origin: { x: x + to[0] - from[0], y: y + to[1] - from[1], z } };
}

/**
 * The block moved over the ground so that the foot of its near corner is seen `by` mm away from where it was, drawn to
 * corners and street lines of the others within `reach` mm. Null where that would be above the horizon.
 */
export function moveBlock(view: View, block: Block, others: readonly Block[], by: Vec2, reach: number) {
  const corner = nearCorner(block, view.eye);
  const [x, y] = blockCorner(block, ...corner);
  const seen = project(view, [x, y, 0]);
  const foot = seen && footAt(view, others, [seen[0] + by[0], seen[1] + by[1]], reach);
  return foot && { block: standAt(block, corner, foot.at), foot };
}

/** Puts a copy beside a block, touching it along its length, and chooses it. */
export function duplicateBlock(block: Block): void {
  const [l] = blockAxes(block);
  const { x, y, z } = block.origin;
  const copy: Block = { ...block, id: crypto.randomUUID(), name: `${block.name} (copy)`, origin: { x: x + l[0] * block.length, y: y + l[1] * block.length, z } };
  edit((scene) => void scene.elements.push(copy));
  go({ selected: copy.id });
}

export function deleteBlock(id: string): void {
  edit((scene) => {
    scene.elements = scene.elements.filter((one) => one.id !== id);
  });
  go({ selected: null });
}

/** The block whose near corner stands nearest before the eye of a shot, if any does. */
export function nearestBlock(blocks: readonly Block[], shot: Shot): Block | undefined {
  const view = viewOf(shot);
  const depth = (block: Block) => dot(sub(blockCorner(block, ...nearCorner(block, view.eye)), view.eye), view.forward);
  const ahead = blocks.filter((block) => depth(block) > 0.1);
  return ahead.length ? ahead.reduce((near, block) => (depth(block) < depth(near) ? block : near)) : undefined;
}

/** The chosen block, if one is chosen. */
export const useChosen = (): Block | undefined => useBoard(({ scene, selected }) => scene.elements.find((one) => one.id === selected));
