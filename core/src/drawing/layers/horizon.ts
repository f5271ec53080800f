import { CurveBook, drawPlane } from "../../shot";
import { horizon as horizonOf, lineIn } from "../../vanishing";
import { NO_LINES, type Shapes } from "../layer";
import { STYLES } from "../style";
import { layerKind, type LayerContext } from "./kind";

/** A line, or in a curved lens the image of the whole level circle. */
export const horizon = layerKind({
  id: "horizon",
  label: "Horizon",
  order: 50,
  style: STYLES.horizon,
  strength: 1,
  stops: "usually",
  compute: horizonLine,
});

function horizonLine({ shot, view }: LayerContext): Shapes {
  if (view.law.straight) {
    const line = horizonOf(view);
    const ends = line && lineIn(line, shot.frame);
    return { lines: Float64Array.from(ends ? ends.flat() : []) };
  }
  const book = new CurveBook();
  drawPlane(view, [0, 0, 1], book);
  return { lines: NO_LINES, curves: book.curves() };
}
