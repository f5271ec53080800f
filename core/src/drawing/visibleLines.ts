import { lineSpacingOf } from "../scene";
import { projectMany, type View } from "../shot";
import { OUTLINE, type EdgeClass, type VisibleEdges } from "../visibility";
import type { Shapes } from "./layer";
import type { LayerContext } from "./layers/kind";
import { endsWhere, stretchLines, type Ends, type Stretches } from "./stretches";
import { OUTLINE_ONLY } from "../world";

/** What is drawn of visible edges is worked out from these. */
type EdgeContext = Pick<LayerContext, "view" | "visible" | "shot">;

/** Stretches of one class, and their places among all. */
export interface ClassEdges extends Stretches {
  readonly own: Uint32Array;
}

/** What is seen, by class and sorted once: it is drawn again with every turn of the view. */
const sorted = new WeakMap<VisibleEdges, Map<EdgeClass, ClassEdges>>();

/** The visible edges of one class, in the world: the same object for as long as the visible edges are. */
export function edgesOfClass(visible: VisibleEdges, wanted: EdgeClass): ClassEdges {
  let by = sorted.get(visible);
  if (!by) sorted.set(visible, (by = new Map<EdgeClass, ClassEdges>()));
  let edges = by.get(wanted);
  if (!edges) by.set(wanted, (edges = ofClass(visible, wanted)));
  return edges;
}

function ofClass({ ends, bends, edgeClass, solid }: VisibleEdges, wanted: EdgeClass): ClassEdges {
  const places: number[] = [];
  for (let i = 0; i < edgeClass.length; i++) if (edgeClass[i] === (wanted as number)) places.push(i);
  const own = Uint32Array.from(places);
  const found = {
    ends: new Float64Array(6 * own.length),
    bends: bends && new Float64Array(6 * own.length),
    solid: new Uint32Array(own.length),
    own,
  };
  for (let k = 0; k < own.length; k++) {
    found.solid[k] = solid[own[k]];
    for (let c = 0; c < 6; c++) found.ends[6 * k + c] = ends[6 * own[k] + c];
    if (bends) found.bends!.set(bends.subarray(6 * own[k], 6 * own[k] + 6), 6 * k);
  }
  return found;
}

/** The edges of a class on paper. */
export const classLines = (view: View, visible: VisibleEdges, wanted: EdgeClass): Shapes =>
  stretchLines(view, edgesOfClass(visible, wanted));

/** Which solids were too small the last time that they were asked for: the kinds of lines of one drawing share it. */
const lastSmall = new WeakMap<
  VisibleEdges,
  { readonly view: View; readonly gap: number; readonly small: Uint8Array }
>();

/** Which solids are drawn so small that what is within their outline would clot: 1 by their number. */
export function smallIn({ view, visible, shot }: EdgeContext): Uint8Array {
  const { gap } = lineSpacingOf(shot);
  const last = lastSmall.get(visible);
  if (last && last.view === view && last.gap === gap) return last.small;
  const small = findSmall(view, visible, OUTLINE_ONLY * gap);
  lastSmall.set(visible, { view, gap, small });
  return small;
}

function findSmall(view: View, { boxes }: VisibleEdges, size: number): Uint8Array {
  const small = new Uint8Array(boxes.length / 6);
  const corners = new Float64Array(24 * small.length);
  for (let k = 0; k < 8 * small.length; k++) {
    const s = k >> 3;
    corners[3 * k] = boxes[6 * s + (k & 1)];
    corners[3 * k + 1] = boxes[6 * s + 2 + ((k >> 1) & 1)];
    corners[3 * k + 2] = boxes[6 * s + 4 + ((k >> 2) & 1)];
  }
  const seen = projectMany(view, corners);
  for (let s = 0; s < small.length; s++)
    small[s] = spread(seen, 16 * s) < size && spread(seen, 16 * s + 1) < size ? 1 : 0;
  return small;
}

/**
 * How far the eight corners of a box are apart on paper along one axis, mm; not a number where one is not seen, and so
 * is near.
 */
function spread(places: Float64Array, first: number): number {
  let [least, most] = [Infinity, -Infinity];
  for (let i = first; i < first + 16; i += 2) {
    least = Math.min(least, places[i]);
    most = Math.max(most, places[i]);
  }
  return most - least;
}

/** The ends of stretches of a class; things that are drawn small have their outline only. */
export function withoutSmall(context: EdgeContext, wanted: EdgeClass, stretches: Stretches): Ends {
  if (wanted === OUTLINE) return stretches;
  const small = smallIn(context);
  return endsWhere(stretches, (place) => !small[stretches.solid[place]]);
}

/** The visible edges of a class on paper, without those of small things. */
export const edgeLines = (context: LayerContext, wanted: EdgeClass): Shapes =>
  stretchLines(context.view, withoutSmall(context, wanted, edgesOfClass(context.visible, wanted)));
