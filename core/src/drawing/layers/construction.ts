import { clippedLines } from "../shapes";
import { boxRecipe } from "../../recipes";
import { stands } from "../../world";
import { NoAnswer } from "../../problem";
import { STYLES } from "../style";
import { layerKind, type LayerContext } from "./kind";

/** Lines that stop short end so far outside the panel, mm. */
const SHORT = 8;

/** The light lines of one thing, x1 y1 x2 y2 of each; none where it cannot be drawn by hand in this picture. */
function linesOf(
  { orientations, shot }: LayerContext,
  element: LayerContext["elements"][number],
  upTo: number,
): number[] {
  try {
    const steps = boxRecipe.steps({ scene: { orientations }, shot, element });
    return steps.slice(0, upTo).flatMap(({ lines }) => lines.flat(2));
  } catch (error) {
    if (error instanceof NoAnswer) return [];
    throw error;
  }
}

/** The light lines by which things are drawn by hand: of one, or of all that stand, up to a step. */
export const construction = layerKind({
  id: "construction",
  label: "Construction lines",
  order: 25,
  style: STYLES.bundle,
  strength: 0,
  reach: "desk",
  construction: true,
  ofElements: true,
  compute: (context) => {
    const { shot, elements } = context;
    const { of, through, upTo = Infinity } = shot.construction ?? {};
    const wanted = elements.filter((one) => !one.hidden && stands(one) && (of === undefined || of === one.id));
    const lines = wanted.flatMap((element) => linesOf(context, element, upTo));
    const { x, y, width, height } = shot.frame;
    const near = { x: x - SHORT, y: y - SHORT, width: width + 2 * SHORT, height: height + 2 * SHORT };
    return { lines: Float64Array.from(through ? lines : clippedLines(lines, near)) };
  },
});
