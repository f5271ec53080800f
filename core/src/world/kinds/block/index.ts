import { add, scale, type Vec2 } from "../../../geometry";
import { elementKind, type Box } from "../kind";
import { blockAxes, blockCorner, BOX_CORNERS } from "./build";
import { BlockSchema, type Block } from "./schema";
export * from "./build";
export type { Block } from "./schema";

/** A block, from its measures. */
export const newBlock = <T extends Omit<Block, "kind" | "id" | "name">>(of: T): T & Pick<Block, "kind"> => ({
  ...of,
  kind: "block",
});

export const isBlock = (element: { readonly kind: string }): element is Block => element.kind === "block";

/** The corners of a box on the plan, counter-clockwise. */
export const boxOutline = (box: Box): readonly Vec2[] =>
  BOX_CORNERS.map(([u, v]) => {
    const [x, y] = blockCorner(box, u, v);
    return [x, y] as const;
  });

/** A block between one of its corners and a place, along its own heading. */
function blockBetween(block: Block, corner: number, [x, y]: Vec2): Block {
  const [u, v] = BOX_CORNERS[corner];
  const fixed = blockCorner(block, 1 - u, 1 - v);
  const [l, w] = blockAxes(block);
  const [dx, dy] = [x - fixed[0], y - fixed[1]];
  const [length, width] = [Math.abs(dx * l[0] + dy * l[1]), Math.abs(dx * w[0] + dy * w[1])];
  const [signL, signW] = [Math.sign(dx * l[0] + dy * l[1]) || 1, Math.sign(dx * w[0] + dy * w[1]) || 1];
  const origin = add(add(fixed, scale(l, signL > 0 ? 0 : -length)), scale(w, signW > 0 ? 0 : -width));
  return {
    ...block,
    length: Math.max(0.1, length),
    width: Math.max(0.1, width),
    origin: { x: origin[0], y: origin[1], z: block.origin.z },
  };
}

export const block = elementKind<Block>(BlockSchema, {
  kind: "block",
  word: "Block",
  stands: true,
  outline: boxOutline,
  span: ({ origin, height }) => [origin.z, height],
  box: (element) => element,
  places: boxOutline,
  placed: blockBetween,
  geoJson: { write: ({ origin, height }) => ({ shape: "area", properties: heightTags(origin.z, height) }) },
});

/** The tags of a thing that stands on the ground or over it (OpenStreetMap's Simple 3D Buildings (from memory)). */
export const heightTags = (base: number, height: number): Record<string, unknown> => ({
  height: base + height,
  ...(base > 0 ? { min_height: base } : {}),
});
