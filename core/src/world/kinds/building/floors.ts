import type { Building } from "./schema";

/** A storey where none are counted, m (common practice). */
const STOREY = 3;

/** A storey: from where over the foot, and how high, m. */
export interface Floor {
  readonly low: number;
  readonly height: number;
}

/** How many storeys a building has up to its eaves. */
export const storeysOf = ({ height, storeys }: Pick<Building, "height" | "storeys">): number =>
  storeys ?? Math.max(1, Math.round(height / STOREY));

type Storeyed = Pick<Building, "height" | "storeys" | "groundFloor" | "storeyHeights">;

/** The heights that are said of storeys, from the ground up, m: never of all, since the last one takes what is left. */
const heightsSaid = (building: Storeyed): readonly number[] =>
  (building.storeyHeights ?? (building.groundFloor === undefined ? [] : [building.groundFloor])).slice(
    0,
    storeysOf(building) - 1,
  );

const sum = (heights: readonly number[]): number => heights.reduce((all, one) => all + one, 0);

/** The height of a storey of which none is said, m: what the others leave, shared evenly. */
export function upperStorey(building: Storeyed): number {
  const own = heightsSaid(building);
  return (building.height - sum(own)) / (storeysOf(building) - own.length);
}

/** The storeys of a building's lowest part, or of one that is set back on it, from its foot up. */
export function floorsOf(building: Storeyed, height: number, onGround: boolean): readonly Floor[] {
  const upper = upperStorey(building);
  const own = onGround ? heightsSaid(building) : [];
  const more = Math.max(own.length ? 0 : 1, Math.floor((height - sum(own)) / upper + 1e-6));
  const heights = [...own, ...Array.from({ length: more }, () => upper)];
  return heights.map((one, i) => ({ low: sum(heights.slice(0, i)), height: one }));
}

/** How much of a building's height is said of its storeys, m. */
export const heightSaid = (building: Storeyed): number => sum(heightsSaid(building));

/** A building with one of its storeys so high, m: the others keep their heights, and its eaves rise or fall. */
export function withStorey<B extends Storeyed>(building: B, storey: number, height: number): B {
  const heights = floorsOf(building, building.height, true).map((floor, i) => (i === storey ? height : floor.height));
  return {
    ...building,
    groundFloor: undefined,
    storeys: heights.length,
    storeyHeights: heights.slice(0, -1),
    height: sum(heights),
  };
}
