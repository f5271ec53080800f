import { ClipperD, ClipType, FillRule, type PathsD } from "clipper2-ts";
import type { Vec2 } from "../geometry";
import { ringCount, type Areas } from "./layer";

/** A closed polygon on the sheet, mm. */
export type Ring = readonly Vec2[];

/** Decimals of a mm to which areas are cut. */
const DECIMALS = 6;

const pathsOf = (rings: readonly Ring[]): PathsD => rings.map((ring) => ring.map(([x, y]) => ({ x, y })));

/** What becomes of regions of the sheet by an operation. */
export function combined(
  operation: ClipType,
  subject: readonly Ring[],
  other: readonly Ring[] = [],
  rule = FillRule.EvenOdd,
): readonly Ring[] {
  const clipper = new ClipperD(DECIMALS);
  clipper.addSubjectPaths(pathsOf(subject));
  clipper.addClipPaths(pathsOf(other));
  const out: PathsD = [];
  clipper.execute(operation, rule, out);
  return out.map((path) => path.map(({ x, y }): Vec2 => [x, y]));
}

/** Regions as one; all turn the same way around, but for their holes. */
export const asOneRegion = (rings: readonly Ring[]): readonly Ring[] =>
  combined(ClipType.Union, rings, [], FillRule.NonZero);

/** A region without others; all turn the same way around, but for their holes. */
export const regionWithout = (rings: readonly Ring[], others: readonly Ring[]): readonly Ring[] =>
  combined(ClipType.Difference, rings, others, FillRule.NonZero);

/** What regions share; all turn the same way around, but for their holes. */
export const regionShared = (rings: readonly Ring[], others: readonly Ring[]): readonly Ring[] =>
  combined(ClipType.Intersection, rings, others, FillRule.NonZero);

/** Areas from rings. */
export function areasFrom(rings: readonly Ring[]): Areas {
  const starts = [0];
  for (const ring of rings) starts.push(starts[starts.length - 1] + ring.length);
  return { xy: Float64Array.from(rings.flatMap((ring) => ring.flat())), starts: Uint32Array.from(starts) };
}

/** The rings of areas. */
export const ringsOf = (areas: Areas): Ring[] =>
  Array.from({ length: ringCount(areas) }, (_, i) =>
    Array.from({ length: areas.starts[i + 1] - areas.starts[i] }, (_corner, k): Vec2 => {
      const o = 2 * (areas.starts[i] + k);
      return [areas.xy[o], areas.xy[o + 1]];
    }),
  );
