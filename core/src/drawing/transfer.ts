import type { Curves } from "../shot";
import type { Areas, Drawing, Layer } from "./layer";

/** How a drawing is made ready to be transferred to another paper. */
export interface Transfer {
  /** As it is seen in a mirror, so that what is rubbed off its back comes out right; pictures under it are left out. */
  readonly mirrored?: boolean;
  /** All of it in a pale blue, which is drawn over and does not show in a reproduction. */
  readonly blue?: boolean;
}

/** Non-photo blue (common practice). */
export const PALE_BLUE = "#a4dded";

/** Numbers of which every other one, the x of a place, is turned about. */
const turnedAbout = (xy: Float64Array, about: (x: number) => number): Float64Array =>
  xy.map((value, i) => (i % 2 === 0 ? about(value) : value));

function mirroredLayer(layer: Layer, width: number): Layer {
  const places = (xy: Float64Array) => turnedAbout(xy, (x) => width - x);
  const { curves, areas } = layer;
  return {
    ...layer,
    lines: places(layer.lines),
    ...(curves ? { curves: mirroredCurves(curves, places) } : {}),
    ...(areas ? { areas: { ...areas, xy: places(areas.xy) } satisfies Areas } : {}),
  };
}

const mirroredCurves = (curves: Curves, places: (xy: Float64Array) => Float64Array): Curves => ({
  ...curves,
  xy: places(curves.xy),
  velocity: turnedAbout(curves.velocity, (x) => -x),
});

const inBlue = (layer: Layer): Layer => ({
  ...layer,
  style: { ...layer.style, stroke: PALE_BLUE, ...(layer.style.fill ? { fill: PALE_BLUE } : {}) },
});

/** A drawing made ready to be transferred. */
export function transferred(drawing: Drawing, { mirrored, blue }: Transfer): Drawing {
  const { width, panel } = drawing;
  const own = blue ? drawing.layers.map(inBlue) : drawing.layers;
  if (!mirrored) return { ...drawing, layers: own };
  return {
    ...drawing,
    layers: own.map((layer) => mirroredLayer(layer, width)),
    ...(panel ? { panel: { ...panel, x: width - panel.x - panel.width } } : {}),
    photos: [],
  };
}
