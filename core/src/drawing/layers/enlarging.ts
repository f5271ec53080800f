import { enlargementGrid, squaresOf } from "../enlarging";
import { STYLES } from "../style";
import { layerKind } from "./kind";

/** Height of letters beside the grid, mm. */
const LETTER = 2.5;

/** Squares over the panel, by which it is drawn again at another size. */
export const enlarging = layerKind({
  id: "enlarging",
  label: "Enlargement grid",
  order: 124,
  style: STYLES.enlarging,
  strength: 0,
  reach: "desk",
  construction: true,
  compute: ({ shot }) => ({ lines: enlargementGrid(shot.frame, squaresOf(shot), LETTER) }),
});
