import { along, dot, norm, sub, type Vec3 } from "../geometry";
import type { View } from "../shot";
import type { EdgeClass } from "../visibility";
import type { LayerContext, LayerPart } from "./layers/kind";
import { edgeSegments, segmentLines, type Segment } from "./visibleLines";

/** Bands of depth by how large a metre is drawn there, mm: near, farther away and far away. */
export const DEPTHS = [
  { id: "", label: "", least: 7 },
  { id: "-middle", label: ", farther away", least: 2.5 },
  { id: "-far", label: ", far away", least: 0 },
] as const;

/** The width of lines in each of those bands, mm. */
export type Widths = readonly [near: number, middle: number, far: number];

/** Where a stretch crosses a sphere around the eye, as shares of it. */
function crossings(a: Vec3, b: Vec3, eye: Vec3, radius: number): readonly number[] {
  const [p, d] = [sub(a, eye), sub(b, a)];
  const [k, half, c] = [dot(d, d), dot(p, d), dot(p, p) - radius * radius];
  const root = half * half - k * c;
  if (!(root > 0)) return [];
  return [(-half - Math.sqrt(root)) / k, (-half + Math.sqrt(root)) / k].filter((t) => t > 1e-9 && t < 1 - 1e-9);
}

type Bands = readonly (readonly Segment[])[];

/** What was parted last, by the stretches themselves: they are drawn again with every turn of the view. */
const known = new WeakMap<readonly Segment[], { readonly distance: number; readonly bands: Bands }>();

/** Stretches of the world by the band of depth that each lies in, cut where one passes into another. */
export function parted(segments: readonly Segment[], { eye, distance }: View): Bands {
  const before = known.get(segments);
  if (before?.distance === distance) return before.bands;
  // A metre is drawn as large as the picture distance is to its own.
  const radii = DEPTHS.map(({ least }) => distance / least);
  const bands = DEPTHS.map((): Segment[] => []);
  for (const [a, b] of segments) {
    const cuts = [0, ...radii.slice(0, -1).flatMap((radius) => crossings(a, b, eye, radius)), 1].sort((s, t) => s - t);
    const at = (t: number) => along(a, sub(b, a), t);
    cuts.slice(1).forEach((to, i) => {
      const from = cuts[i];
      const far = norm(sub(at((from + to) / 2), eye));
      bands[radii.findIndex((radius) => far < radius)].push([at(from), at(to)]);
    });
  }
  known.set(segments, { distance, bands });
  return bands;
}

/**
 * The edges of a class as parts of a layer, lighter with depth where the shot does not want them all alike; the
 * farthest first, so that what is near lies over it.
 */
export function edgesByDepth(
  context: LayerContext,
  wanted: EdgeClass,
  { id, label, widths }: { readonly id: string; readonly label: string; readonly widths: Widths },
): readonly LayerPart[] {
  const segments = edgeSegments(context, wanted);
  if (context.shot.evenOutlines) return [{ id, label, ...segmentLines(context.view, segments) }];
  const bands = parted(segments, context.view);
  return DEPTHS.map((band, depth) => ({
    id: `${id}${band.id}`,
    label: `${label}${band.label}`,
    style: { width: widths[depth] },
    ...segmentLines(context.view, bands[depth]),
  })).reverse();
}
