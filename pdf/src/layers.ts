import { chordsOf, cubicsOf, curveCount, ringCount, type Layer } from "@zanvo/core/drawing";
import { clipToRect, type Rect } from "@zanvo/core/geometry";
import { MM, type Doc } from "./page";

/**
 * Where a drawing goes on a page: its own mm times `scale`, then moved by `dx`, `dy` mm; cut at `clip`, in its own
 * mm.
 */
export interface Placing {
  readonly dx?: number;
  readonly dy?: number;
  readonly scale?: number;
  readonly clip?: Rect;
  /** Makes all lines heavier, for a drawing that is shown small. */
  readonly weight?: number;
}

/** Dashes of several lengths, in points; the package takes them, its types know only one. */
const dash = (doc: Doc, lengths: readonly number[], phase = 0): Doc =>
  Reflect.apply(doc.dash, doc, [lengths, { phase }]);

/** Fills a layer's areas by the even-odd rule, as far as they lie within what is cut out. */
function fillAreas(doc: Doc, { style, areas }: Layer, { dx = 0, dy = 0, scale = 1, clip }: Placing): void {
  if (!areas) return;
  const at = (x: number, y: number) => [(dx + x * scale) * MM, (dy + y * scale) * MM] as const;
  doc.save();
  if (clip) doc.rect(...at(clip.x, clip.y), clip.width * scale * MM, clip.height * scale * MM).clip();
  for (let i = 0; i < ringCount(areas); i++) {
    const [from, to] = [areas.starts[i], areas.starts[i + 1]];
    for (let k = from; k < to; k++) {
      const corner = at(areas.xy[2 * k], areas.xy[2 * k + 1]);
      if (k === from) doc.moveTo(...corner);
      else doc.lineTo(...corner);
    }
    doc.closePath();
  }
  doc
    .fillOpacity(style.opacity)
    .fill(style.fill ?? style.stroke, "even-odd")
    .restore();
}

/** Draws a layer: its areas, and over them its lines. */
export function drawLayer(doc: Doc, layer: Layer, placing: Placing = {}): void {
  fillAreas(doc, layer, placing);
  strokeLines(doc, layer, placing);
}

/** Draws a layer's lines; one that is cut keeps the place of its dashes. */
function strokeLines(doc: Doc, layer: Layer, { dx = 0, dy = 0, scale = 1, clip, weight = 1 }: Placing): void {
  const { style, curves } = layer;
  // Where nothing is cut, curves are drawn as they are; on a tile, by their chords.
  const lines = clip ? chordsOf(layer) : layer.lines;
  const at = (x: number, y: number) => [(dx + x * scale) * MM, (dy + y * scale) * MM] as const;
  let drawn = false;
  doc
    .save()
    .lineCap("round")
    .lineWidth(style.width * weight * MM)
    .strokeColor(style.stroke)
    .strokeOpacity(style.opacity);
  const dashes = style.dash.map((length) => length * weight * MM);
  if (dashes.length) dash(doc, dashes);
  for (let i = 0; i < lines.length; i += 4) {
    const [x1, y1, x2, y2] = [lines[i], lines[i + 1], lines[i + 2], lines[i + 3]];
    const range = clip ? clipToRect([x1, y1], [x2 - x1, y2 - y1], clip, [0, 1]) : [0, 1];
    if (!range) continue;
    const [t0, t1] = range;
    doc.moveTo(...at(x1 + t0 * (x2 - x1), y1 + t0 * (y2 - y1))).lineTo(...at(x1 + t1 * (x2 - x1), y1 + t1 * (y2 - y1)));
    if (dashes.length && t0 > 0) {
      dash(doc, dashes, t0 * Math.hypot(x2 - x1, y2 - y1) * scale * MM).stroke();
      dash(doc, dashes);
    } else drawn = true;
    if (dashes.length && drawn) {
      doc.stroke();
      drawn = false;
    }
  }
  if (!clip && curves) {
    for (let i = 0; i < curveCount(curves); i++) {
      const { from, parts } = cubicsOf(curves, i);
      doc.moveTo(...at(...from));
      for (const [x1, y1, x2, y2, x, y] of parts) doc.bezierCurveTo(...at(x1, y1), ...at(x2, y2), ...at(x, y));
      drawn = true;
    }
  }
  if (drawn) doc.stroke();
  doc.restore();
}
