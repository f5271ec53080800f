import { ringCount, type Areas, type Shapes } from "@zanvo/core/drawing";

/** The path of filled areas: rings, of which one within another is a hole when filled by the even-odd rule. */
export function pathAreas(context: Pick<CanvasPath, "moveTo" | "lineTo" | "closePath">, areas: Areas): void {
  const { xy, starts } = areas;
  for (let i = 0; i < ringCount(areas); i++) {
    context.moveTo(xy[2 * starts[i]], xy[2 * starts[i] + 1]);
    for (let k = starts[i] + 1; k < starts[i + 1]; k++) context.lineTo(xy[2 * k], xy[2 * k + 1]);
    context.closePath();
  }
}

/** The path of straight lines and of curves, by their chords. */
export function pathLines(context: Pick<CanvasPath, "moveTo" | "lineTo">, { lines, curves }: Shapes): void {
  for (let i = 0; i < lines.length; i += 4) {
    context.moveTo(lines[i], lines[i + 1]);
    context.lineTo(lines[i + 2], lines[i + 3]);
  }
  if (!curves) return;
  const { xy, starts } = curves;
  for (let i = 0; i + 1 < starts.length; i++) {
    context.moveTo(xy[2 * starts[i]], xy[2 * starts[i] + 1]);
    for (let k = starts[i] + 1; k < starts[i + 1]; k++) context.lineTo(xy[2 * k], xy[2 * k + 1]);
  }
}
