import type { Rect } from "../geometry";
import type { Curves } from "../shot";
import type { Style } from "./style";

/** Polygons that are filled by the even-odd rule, so that one within another is a hole: their rings, in sheet mm. */
export interface Areas {
  /** x y of every corner, ring after ring; a ring closes by itself. */
  readonly xy: Float64Array;
  /** Where each ring begins, counted in corners, and at last where the last one ends. */
  readonly starts: Uint32Array;
}

/** Lines and areas of one kind, drawn alike. */
export interface Layer {
  readonly id: string;
  readonly label: string;
  /** What it belongs to, together with the layers beside it that say the same, where files are not by kind of layer. */
  readonly group?: string;
  readonly style: Style;
  /** x1 y1 x2 y2 of every straight line, in sheet mm. */
  readonly lines: Float64Array;
  /** What is not straight. */
  readonly curves?: Curves;
  /** What is filled, under the lines. */
  readonly areas?: Areas;
}

/** What is drawn on a layer: lines, curves and filled areas. */
export type Shapes = Pick<Layer, "lines" | "curves" | "areas">;

export const NO_LINES = new Float64Array();

/** The number of rings of filled areas. */
export const ringCount = ({ starts }: Areas): number => Math.max(0, starts.length - 1);

/** Layers that belong together in a file, and what they are called: those of a group, or one by itself. */
export interface LayerGroup {
  readonly name: string;
  readonly layers: readonly Layer[];
}

/** The layers of a drawing by their groups, from the bottom up. */
export function layerGroups(layers: readonly Layer[]): readonly LayerGroup[] {
  const groups: { name: string; layers: Layer[] }[] = [];
  layers.forEach((layer, i) => {
    if (layer.group !== undefined && layer.group === layers[i - 1]?.group) groups.at(-1)!.layers.push(layer);
    else groups.push({ name: layer.group ?? layer.label, layers: [layer] });
  });
  return groups;
}

/** Whether anything is drawn on a layer. */
export const drawnOn = ({ lines, curves, areas }: Shapes): boolean =>
  lines.length > 0 || (curves !== undefined && curves.t.length > 0) || (areas !== undefined && areas.xy.length > 0);

/** A layer's lines with every chord of its curves, x1 y1 x2 y2 in sheet mm: what a straight line is compared with. */
export function chordsOf({ lines, curves }: Shapes): Float64Array {
  if (!curves) return lines;
  const { xy, starts } = curves;
  const chords: number[] = [...lines];
  for (let i = 0; i + 1 < starts.length; i++) {
    for (let k = starts[i]; k + 1 < starts[i + 1]; k++)
      chords.push(xy[2 * k], xy[2 * k + 1], xy[2 * k + 2], xy[2 * k + 3]);
  }
  return Float64Array.from(chords);
}

/**
 * A picture that lies under a drawing: what its file is called by, where it lies and is cut, mm, and how strong it
 * is.
 */
export interface Photo {
  readonly picture: string;
  /** What its reference is called. */
  readonly name: string;
  readonly at: Rect;
  /** How far it is turned about its middle, degrees clockwise. */
  readonly turn: number;
  readonly clip: Rect;
  readonly opacity: number;
}

/** A sheet with its layers from the bottom up: what every output shows. */
export interface Drawing {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly layers: readonly Layer[];
  /** The rectangle around its panels, mm; the whole sheet where nothing is said. */
  readonly panel?: Rect;
  /** Where its page is trimmed, and how far it is printed, mm, where that is said. */
  readonly trim?: Rect;
  readonly bleed?: Rect;
  /** What lies under all layers. */
  readonly photos?: readonly Photo[];
}
