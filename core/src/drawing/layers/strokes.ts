import { getStroke } from "perfect-freehand";
import { placesOf, WEIGHTS, type SheetLine } from "../../lines";
import type { Shapes } from "../layer";
import { byWeight, partsByWeight, seenStretches } from "../ownLines";
import { STYLES } from "../style";
import { segmentLines } from "../stretches";
import { layerKind } from "./kind";

type Stroke = Extract<SheetLine, { readonly kind: "stroke" }>;

/** How much of a stroke's width its pressure takes away, at the least pressure. */
const THINNING = 0.6;
/** A pen at the middle of its pressure draws its own width. */
const PRESSED = 1.4;

/** The outlines of strokes, x y of every corner: worked out once for each. */
const outlines = new WeakMap<Stroke, Float64Array>();

/** The outline of a stroke as its pressure widens it, mm. */
export function strokeOutline(stroke: Stroke): Float64Array {
  let outline = outlines.get(stroke);
  if (!outline) {
    const { samples, weight } = stroke;
    const points = placesOf(samples).map(([x, y], i) => [x, y, Math.min(1, Math.max(0, samples[3 * i + 2]))]);
    outline = Float64Array.from(
      getStroke(points, {
        size: PRESSED * WEIGHTS[weight],
        thinning: THINNING,
        streamline: 0,
        smoothing: 0.5,
        simulatePressure: false,
        last: true,
      }).flat(),
    );
    outlines.set(stroke, outline);
  }
  return outline;
}

/** Strokes of a sheet as filled areas, by their outlines. */
function filled(strokes: readonly Stroke[]): Shapes["areas"] {
  const rings = strokes.map(strokeOutline);
  const starts = new Uint32Array(rings.length + 1);
  rings.forEach((ring, i) => (starts[i + 1] = starts[i] + ring.length / 2));
  const xy = new Float64Array(2 * starts[rings.length]);
  rings.forEach((ring, i) => xy.set(ring, 2 * starts[i]));
  return { xy, starts };
}

const STROKES = { id: "strokes", label: "Freehand strokes" };

/** Freehand strokes: on the sheet as wide as the pen was pressed, on planes of the world of one width. */
export const strokes = layerKind({
  ...STROKES,
  id: "strokes",
  order: 114,
  style: STYLES.own,
  strength: 1,
  reach: "rim",
  ofEdges: true,
  ofLines: true,
  compute: (context) =>
    partsByWeight(
      STROKES,
      byWeight(context, ({ kind }) => kind === "stroke"),
      ({ sheet, world }) => ({
        ...segmentLines(
          context.view,
          world.flatMap((line) => seenStretches(context.visible, context.view, line)),
        ),
        areas: filled(sheet.filter((line): line is Stroke => line.kind === "stroke")),
      }),
    ),
});
