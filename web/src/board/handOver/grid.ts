import { LAYER_KINDS } from "@zanvo/core/drawing";

/** Layers that make up the grid that one draws over. */
const GRID = ["bundles", "squares", "horizon", "frame"];

/** All that is left out of a drawing for its grid alone. */
export const NOT_GRID: readonly string[] = [...LAYER_KINDS.map(({ id }): string => id), "photo"].filter(
  (id) => !GRID.includes(id),
);
