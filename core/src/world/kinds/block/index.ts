import type { Vec2 } from "../../../geometry";
import { elementKind, movedPoint, type Box } from "../kind";
import { blockCorner, buildBlock } from "./build";
import { BlockSchema, type Block } from "./schema";
export * from "./build";
export type { Block } from "./schema";

const CORNERS = [
  [0, 0],
  [0, 1],
  [1, 1],
  [1, 0],
] as const;

/** The corners of a box on the plan, counter-clockwise. */
export const boxOutline = (box: Box): readonly Vec2[] =>
  CORNERS.map(([u, v]) => {
    const [x, y] = blockCorner(box, u, v);
    return [x, y] as const;
  });

export const block = elementKind<Block>(BlockSchema, {
  kind: "block",
  word: "Block",
  stands: true,
  build: (element) => [buildBlock(element)],
  outline: boxOutline,
  span: ({ origin, height }) => [origin.z, height],
  box: (element) => element,
  places: () => [],
  placed: (element) => element,
  moved: (element, dx, dy) => ({ ...element, origin: movedPoint(element.origin, dx, dy) }),
  geoJson: { write: ({ origin, height }) => ({ shape: "area", properties: heightTags(origin.z, height) }) },
});

/** The tags of a thing that stands on the ground or over it (OpenStreetMap's Simple 3D Buildings (from memory)). */
export const heightTags = (base: number, height: number): Record<string, unknown> => ({
  height: base + height,
  ...(base > 0 ? { min_height: base } : {}),
});
