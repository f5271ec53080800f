import { along, headingDirection, type Vec3 } from "../../../geometry";
import type { Box } from "../kind";
import type { Block } from "./schema";
import { solidOf, type Solid } from "../../solid";

/** The two level unit directions of a block: along its length, and along its width. */
export function blockAxes(block: Pick<Block, "heading">): readonly [Vec3, Vec3] {
  return [headingDirection(block.heading), headingDirection(block.heading + 90)];
}

/** The corners of a box on its base, counter-clockwise from above: u, v along its length and its width. */
export const BOX_CORNERS = [
  [0, 0],
  [0, 1],
  [1, 1],
  [1, 0],
] as const;

/** A corner on the block's base plane: u, v in {0, 1} along length and width. */
export function blockCorner(block: Box, u: number, v: number): Vec3 {
  const [l, w] = blockAxes(block);
  const { x, y, z } = block.origin;
  return along(along([x, y, z], l, u * block.length), w, v * block.width);
}

const NAMES = ["bottom", "top", "wall 0", "wall 1", "wall 2", "wall 3"];

/**
 * The closed solid of a block: vertices 0 to 3 around the base (counter-clockwise from above), 4 to 7 the same above.
 */
export function buildBlock(block: Block): Solid {
  const base = [blockCorner(block, 0, 0), blockCorner(block, 0, 1), blockCorner(block, 1, 1), blockCorner(block, 1, 0)];
  const top = base.map((p): Vec3 => [p[0], p[1], p[2] + block.height]);
  const walls = [0, 1, 2, 3].map((i) => [i, (i + 1) % 4, ((i + 1) % 4) + 4, i + 4]);
  return solidOf(block.id, [...base, ...top], [[3, 2, 1, 0], [4, 5, 6, 7], ...walls], [], NAMES);
}

/** The same block with one dimension changed, the corner (u, v) of its footprint staying where it is. */
export function resizeBlock(
  block: Block,
  change: Partial<Pick<Block, "length" | "width" | "height">>,
  u: number,
  v: number,
): Block {
  const resized = { ...block, ...change };
  const from = blockCorner(block, u, v);
  const to = blockCorner(resized, u, v);
  const { x, y, z } = block.origin;
  return { ...resized, origin: { x: x + from[0] - to[0], y: y + from[1] - to[1], z } };
}
