import { dot, norm, onCubic, scale, sub, type Vec3 } from "../geometry";
import type { Depth, Shot } from "../scene";
import type { EdgeClass } from "../visibility";
import type { LayerContext, LayerPart } from "./layers/kind";
import { stretchLines, type Stretches } from "./stretches";
import type { Style } from "./style";
import { edgesOfClass, withoutSmall } from "./visibleLines";

/** A band of depth: how far from the eye it ends, m, and how lines are drawn in it. */
export interface Band {
  readonly id: string;
  readonly label: string;
  readonly ends: number;
  readonly style: Pick<Style, "width"> & Partial<Style>;
}

/** The width of lines near, farther away and far away, mm. */
export type Widths = readonly [near: number, middle: number, far: number];

/** The usual bands, by how large a metre is drawn where they end, mm. */
const USUAL = [
  { id: "", label: "", least: 7 },
  { id: "-middle", label: ", farther away", least: 2.5 },
  { id: "-far", label: ", far away", least: 0 },
] as const;

/** So many bands lie between where lines begin to change with depth and where they end to. */
const STEPS = 8;

/**
 * What is left of a line's width and of its strength at a distance from the eye, m: all of it near, the least far away,
 * and between by the logarithm of the distance, as things grow smaller.
 */
export function weightAt({ near, far, thin, faint }: Depth, distance: number): { width: number; strength: number } {
  const share = distance <= near ? 0 : distance >= far ? 1 : Math.log(distance / near) / Math.log(far / near);
  return { width: 1 + share * (thin - 1), strength: 1 - share * faint };
}

/** The bands of depth of a shot, the nearest first. @param strength that lines have near, 0 to 1 */
export function bandsOf(shot: Pick<Shot, "depth">, distance: number, widths: Widths, strength = 1): readonly Band[] {
  const { depth } = shot;
  if (!depth)
    return USUAL.map(({ id, label, least }, i) => ({ id, label, ends: distance / least, style: { width: widths[i] } }));
  const reach = Math.max(depth.far / depth.near, 1);
  return Array.from({ length: STEPS + 2 }, (_, i): Band => {
    const at = (step: number) => depth.near * reach ** (step / STEPS);
    const { width, strength: left } = weightAt(depth, i > STEPS ? depth.far : i === 0 ? depth.near : at(i - 0.5));
    return {
      id: i === 0 ? "" : `-depth-${i}`,
      label: i === 0 ? "" : `, from ${Number(at(i - 1).toPrecision(2))} m on`,
      ends: i > STEPS ? Infinity : at(i),
      style: { width: width * widths[0], opacity: strength * left },
    };
  });
}

/** What was parted last, by the stretches themselves: they are drawn again with every turn of the view. */
const known = new WeakMap<Stretches, { readonly radii: string; readonly bands: readonly Stretches[] }>();

/** Stretches of the world by the band of depth that each lies in, cut where one passes into another. */
export function parted(stretches: Stretches, eye: Vec3, into: readonly Band[]): readonly Stretches[] {
  const radii = into.slice(0, -1).map((band) => band.ends);
  const before = known.get(stretches);
  if (before?.radii === radii.join()) return before.bands;
  const bands = into.map(() => ({ ends: [] as number[], bends: [] as number[], solid: [] as number[] }));
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
  known.set(stretches, { radii: radii.join(), bands: found });
  return found;
}

const placeAlong = ([ax, ay, az, bx, by, bz]: Float64Array, t: number): Vec3 => [
  ax + t * (bx - ax),
  ay + t * (by - ay),
  az + t * (bz - az),
];

const NO_BENDS: readonly number[] = [0, 0, 0, 0, 0, 0];

/** A part of a stretch, from one share of it to another: of a curved one, of its cubic. */
export function partOfStretch(stretch: Float64Array, bend: Float64Array | undefined, from: number, to: number) {
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
export function cutsOf(stretch: Float64Array, eye: Vec3, radii: readonly number[]): readonly number[] {
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

/** What parts of a layer are called, and how wide their lines are. */
interface Named {
  readonly id: string;
  readonly label: string;
  readonly widths: Widths;
}

/**
 * Stretches as parts of a layer, lighter with depth where the shot does not want them all alike; the farthest first, so
 * that what is near lies over it.
 */
export function stretchesByDepth(
  { view, shot }: Pick<LayerContext, "view" | "shot">,
  stretches: Stretches,
  { id, label, widths }: Named,
  { strength = 1, draw = (some: Stretches) => stretchLines(view, some) } = {},
): readonly LayerPart[] {
  if (shot.evenOutlines) return [{ id, label, style: { width: widths[0], opacity: strength }, ...draw(stretches) }];
  const into = bandsOf(shot, view.distance, widths, strength);
  const bands = parted(stretches, view.eye, into);
  return into
    .map((band, i) => ({ id: `${id}${band.id}`, label: `${label}${band.label}`, style: band.style, ...draw(bands[i]) }))
    .reverse();
}

/** The edges of a class as parts of a layer, lighter with depth. */
export const edgesByDepth = (context: LayerContext, wanted: EdgeClass, named: Named): readonly LayerPart[] =>
  stretchesByDepth(context, edgesOfClass(context.visible, wanted), named, {
    draw: (some) => stretchLines(context.view, withoutSmall(context, wanted, some)),
  });
