import { drawnOn, type Layer } from "@zanvo/core/drawing";
import { pathAreas, pathLines } from "./path";

/** Lines are never thinner on the screen than this, in px. */
const LEAST_WIDTH = 0.6;

/** The paths of a layer: a layer is painted again and again, with every move of the camera, and never changes. */
interface Paths {
  readonly areas: Path2D | null;
  readonly lines: Path2D;
}
const known = new WeakMap<Layer, Paths>();

function pathsOf(layer: Layer): Paths {
  let paths = known.get(layer);
  if (paths) return paths;
  const areas = layer.areas ? new Path2D() : null;
  if (areas && layer.areas) pathAreas(areas, layer.areas);
  const lines = new Path2D();
  pathLines(lines, layer);
  paths = { areas, lines };
  known.set(layer, paths);
  return paths;
}

/** Paints a layer of a drawing, in desk mm. @param scale px of the screen to a mm */
export function paintLayer(context: CanvasRenderingContext2D, layer: Layer, scale: number, strength = 1): void {
  if (!drawnOn(layer)) return;
  const { style } = layer;
  const { areas, lines } = pathsOf(layer);
  context.globalAlpha = style.opacity * strength;
  if (areas) {
    context.fillStyle = style.fill ?? style.stroke;
    context.fill(areas, "evenodd");
  }
  context.strokeStyle = style.stroke;
  context.lineWidth = Math.max(style.width, LEAST_WIDTH / scale);
  context.lineCap = "round";
  context.setLineDash([...style.dash]);
  context.stroke(lines);
}
