import { shared, together, without, type Region } from "./areas";
import type { Vec2 } from "../geometry";
import { boxesMeet, boxOnPlan, isWithin, type PlanBox } from "./polygon";

/** An upward plane over the plan: z = a x + b y + c, m. */
export type Plane = readonly [a: number, b: number, c: number];

/** A part of the ground that lies in one plane. */
export interface Facet {
  readonly region: Region;
  readonly plane: Plane;
}

/** What a kind of raised ground adds to a level field: facets that share no area. */
export interface RaisedGround {
  readonly outline: readonly Vec2[];
  readonly facets: readonly Facet[];
}

interface BoxedFacet extends Facet {
  readonly box: PlanBox;
}

/** All ground that is not level: outside of its facets it lies at 0. */
export interface Terrain {
  readonly facets: readonly BoxedFacet[];
  readonly box: PlanBox;
}

/** Smaller parts of the plan than this are none, m^2. */
const LEAST_AREA = 1e-6;
/** Places this near to a rim are on it, m. */
const ON_RIM = 1e-6;

/** The level field. */
export const LEVEL: Terrain = { facets: [], box: [Infinity, Infinity, -Infinity, -Infinity] };

const LEVEL_PLANE: Plane = [0, 0, 0];

/** The height of a plane over a place of the plan, m. */
export const heightOn = ([a, b, c]: Plane, [x, y]: Vec2): number => a * x + b * y + c;

/** The plane that leads from the height over the first place of a stretch to that over its last, level across. */
export function planeAlong([p, q]: readonly Vec2[], over: (at: Vec2) => number): Plane {
  const [ux, uy] = [q[0] - p[0], q[1] - p[1]];
  const k = (over(q) - over(p)) / (ux * ux + uy * uy || 1);
  return [k * ux, k * uy, over(p) - k * (ux * p[0] + uy * p[1])];
}

const areaOf = (region: Region): number =>
  region.reduce((sum, ring) => {
    const [x0, y0] = ring[0];
    return ring.reduce((all, [x, y], i) => {
      const [u, v] = ring[(i + 1) % ring.length];
      return all + ((x - x0) * (v - y0) - (u - x0) * (y - y0)) / 2;
    }, sum);
  }, 0);

const boxed = (facet: Facet): BoxedFacet => ({ ...facet, box: boxOnPlan(facet.region.flat()) });

/** A terrain of facets that share no area. */
export function terrainFrom(facets: readonly Facet[]): Terrain {
  if (facets.length === 0) return LEVEL;
  const all = facets.map(boxed);
  return {
    facets: all,
    box: boxOnPlan(
      all.flatMap(({ box: [x0, y0, x1, y1] }): Vec2[] => [
        [x0, y0],
        [x1, y1],
      ]),
    ),
  };
}

/**
 * Facets of raised grounds, each without what later ones and cuttings take of it.
 * @param grounds in their order: of two that overlap, the later one is the ground
 * @param cut what is dug out of all of them
 */
export function facetsOf(grounds: readonly RaisedGround[], cut: Region): readonly (readonly Facet[])[] {
  return grounds.map(({ outline, facets }, i) => {
    const box = boxOnPlan(outline);
    const later = [cut, ...grounds.slice(i + 1).map((one) => [one.outline])].filter(
      (region) => region.length > 0 && boxesMeet(box, boxOnPlan(region.flat())),
    );
    if (later.length === 0) return facets;
    const taken = together(later);
    return facets.flatMap((facet) => {
      const region = without(facet.region, taken);
      return areaOf(region) > LEAST_AREA ? [{ ...facet, region }] : [];
    });
  });
}

const near = ({ facets, box: all }: Terrain, box: PlanBox): readonly BoxedFacet[] =>
  boxesMeet(all, box) ? facets.filter((facet) => boxesMeet(facet.box, box)) : [];

/** Whether any ground that is not level may lie within a box of the plan. */
export const reaches = (terrain: Terrain, box: PlanBox): boolean => near(terrain, box).length > 0;

/** Whether a place is within a region, or on its rim. */
function isOn([x, y]: Vec2, region: Region): boolean {
  const around: Vec2[] = [
    [x, y],
    [x - ON_RIM, y],
    [x + ON_RIM, y],
    [x, y - ON_RIM],
    [x, y + ON_RIM],
  ];
  return around.some((at) => region.filter((ring) => isWithin(at, ring)).length % 2 === 1);
}

/** The height of the ground at a place of the plan, m: at the top of a cliff, of its upper side. */
export function groundAt(terrain: Terrain, at: Vec2): number {
  let highest: number | null = null;
  for (const { region, plane } of near(terrain, [at[0], at[1], at[0], at[1]]))
    if (isOn(at, region)) highest = Math.max(highest ?? -Infinity, heightOn(plane, at));
  return highest ?? 0;
}

/** A region of the plan in parts over which the ground is one plane. */
export function groundUnder(terrain: Terrain, region: Region): readonly Facet[] {
  const close = region.length > 0 ? near(terrain, boxOnPlan(region.flat())) : [];
  if (close.length === 0) return [{ region, plane: LEVEL_PLANE }];
  const raised = close.flatMap(({ region: own, plane }) => {
    const part = shared(region, own);
    return areaOf(part) > LEAST_AREA ? [{ region: part, plane }] : [];
  });
  const level = raised.length > 0 ? without(region, together(close.map(({ region: own }) => own))) : region;
  return areaOf(level) > LEAST_AREA ? [...raised, { region: level, plane: LEVEL_PLANE }] : raised;
}

/** The lowest and the highest ground under a region of the plan, m. */
export const groundRange = (terrain: Terrain, region: Region): readonly [lowest: number, highest: number] =>
  rangeOf(groundUnder(terrain, region));

/** The lowest and the highest ground of a terrain, with the level field around it, m. */
export function terrainRange({ facets }: Terrain): readonly [lowest: number, highest: number] {
  const [lowest, highest] = rangeOf(facets);
  return [Math.min(0, lowest), Math.max(0, highest)];
}

function rangeOf(facets: readonly Facet[]): readonly [lowest: number, highest: number] {
  let [lowest, highest] = [Infinity, -Infinity];
  for (const { region: part, plane } of facets)
    for (const ring of part)
      for (const at of ring) {
        const z = heightOn(plane, at);
        [lowest, highest] = [Math.min(lowest, z), Math.max(highest, z)];
      }
  return lowest <= highest ? [lowest, highest] : [0, 0];
}
