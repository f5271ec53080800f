import { dot, norm, onCubic, scale, sub, type Vec3 } from "../geometry";
import type { View } from "../shot";
import type { EdgeClass } from "../visibility";
import type { LayerContext, LayerPart } from "./layers/kind";
import { stretchLines, type Stretches } from "./stretches";
import { edgesOfClass, withoutSmall } from "./visibleLines";

/** Bands of depth by how large a metre is drawn there, mm: near, farther away and far away. */
export const DEPTHS = [
  { id: "", label: "", least: 7 },
  { id: "-middle", label: ", farther away", least: 2.5 },
  { id: "-far", label: ", far away", least: 0 },
] as const;

/** The width of lines in each of those bands, mm. */
export type Widths = readonly [near: number, middle: number, far: number];

/** What was parted last, by the stretches themselves: they are drawn again with every turn of the view. */
const known = new WeakMap<Stretches, { readonly distance: number; readonly bands: readonly Stretches[] }>();

/** Stretches of the world by the band of depth that each lies in, cut where one passes into another. */
export function parted(stretches: Stretches, { eye, distance }: Pick<View, "eye" | "distance">): readonly Stretches[] {
  const before = known.get(stretches);
  if (before?.distance === distance) return before.bands;
  const bands = DEPTHS.map(() => ({ ends: [] as number[], bends: [] as number[], solid: [] as number[] }));
  // A metre is drawn as large as the picture distance is to its own.
  const radii = DEPTHS.slice(0, -1).map(({ least }) => distance / least);
  const { ends, bends, solid } = stretches;
  for (let i = 0; i < solid.length; i++) {
    const stretch = ends.subarray(6 * i, 6 * i + 6);
    const cuts = cutsOf(stretch, eye, radii);
    for (let k = 1; k < cuts.length; k++) {
      const far = norm(sub(placeAlong(stretch, (cuts[k - 1] + cuts[k]) / 2), eye));
      let depth = 0;
      while (depth < radii.length && far >= radii[depth]) depth++;
      const bend = bends?.subarray(6 * i, 6 * i + 6);
      const part = partOfStretch(stretch, bend, cuts[k - 1], cuts[k]);
      bands[depth].ends.push(...part.ends);
      if (bend) bands[depth].bends.push(...part.bends);
      bands[depth].solid.push(solid[i]);
    }
  }
  const found = bands.map((band) => ({
    ends: Float64Array.from(band.ends),
    bends: bends && Float64Array.from(band.bends),
    solid: Uint32Array.from(band.solid),
  }));
  known.set(stretches, { distance, bands: found });
  return found;
}

const placeAlong = ([ax, ay, az, bx, by, bz]: Float64Array, t: number): Vec3 => [
  ax + t * (bx - ax),
  ay + t * (by - ay),
  az + t * (bz - az),
];

const NO_BENDS: readonly number[] = [0, 0, 0, 0, 0, 0];

/** A part of a stretch, from one share of it to another: of a curved one, of its cubic. */
function partOfStretch(stretch: Float64Array, bend: Float64Array | undefined, from: number, to: number) {
  if (!bend || bend.every((k) => k === 0))
    return { ends: [...placeAlong(stretch, from), ...placeAlong(stretch, to)], bends: NO_BENDS };
  const vector = (all: Float64Array, o: number): Vec3 => [all[o], all[o + 1], all[o + 2]];
  const [a, b, u, v] = [vector(stretch, 0), vector(stretch, 3), vector(bend, 0), vector(bend, 3)];
  const places = [from, to].map((t) => onCubic(a, b, u, v, t));
  return {
    ends: places.flatMap(({ at }) => at),
    bends: places.flatMap(({ way }) => scale(way, to - from)),
  };
}

const WHOLE: readonly number[] = [0, 1];

/** Where a stretch begins, crosses spheres around the eye, and ends, as shares of it. */
function cutsOf(stretch: Float64Array, eye: Vec3, radii: readonly number[]): readonly number[] {
  const a = placeAlong(stretch, 0);
  const [p, d] = [sub(a, eye), sub(placeAlong(stretch, 1), a)];
  const [k, half, far] = [dot(d, d), dot(p, d), dot(p, p)];
  const cuts = radii.flatMap((radius) => {
    const root = half * half - k * (far - radius * radius);
    if (!(root > 0)) return [];
    return [(-half - Math.sqrt(root)) / k, (-half + Math.sqrt(root)) / k].filter((t) => t > 1e-9 && t < 1 - 1e-9);
  });
  return cuts.length === 0 ? WHOLE : [0, ...cuts, 1].sort((s, t) => s - t);
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
  const { view, visible, shot } = context;
  const stretches = edgesOfClass(visible, wanted);
  const drawn = (some: Stretches) => stretchLines(view, withoutSmall(context, wanted, some));
  if (shot.evenOutlines) return [{ id, label, ...drawn(stretches) }];
  const bands = parted(stretches, view);
  return DEPTHS.map((band, depth) => ({
    id: `${id}${band.id}`,
    label: `${label}${band.label}`,
    style: { width: widths[depth] },
    ...drawn(bands[depth]),
  })).reverse();
}
