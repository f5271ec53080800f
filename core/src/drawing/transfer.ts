import type { Rect } from "../geometry";
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

const mirroredRect = (rect: Rect, width: number): Rect => ({ ...rect, x: width - rect.x - rect.width });

const inBlue = (layer: Layer): Layer => ({
  ...layer,
  style: { ...layer.style, stroke: PALE_BLUE, ...(layer.style.fill ? { fill: PALE_BLUE } : {}) },
});

/** A drawing made ready to be transferred. */
export function transferred(drawing: Drawing, { mirrored, blue }: Transfer): Drawing {
  const { width, panel, trim, bleed } = drawing;
  const own = blue ? drawing.layers.map(inBlue) : drawing.layers;
  if (!mirrored) return { ...drawing, layers: own };
  return {
    ...drawing,
    layers: own.map((layer) => mirroredLayer(layer, width)),
    ...(panel ? { panel: mirroredRect(panel, width) } : {}),
    ...(trim && bleed ? { trim: mirroredRect(trim, width), bleed: mirroredRect(bleed, width) } : {}),
    photos: [],
  };
}
