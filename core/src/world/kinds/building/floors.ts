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

/** The height of an upper storey, m: what the ground floor leaves, shared evenly. */
export function upperStorey(building: Pick<Building, "height" | "storeys" | "groundFloor">): number {
  const { height, groundFloor } = building;
  const n = storeysOf(building);
  return groundFloor === undefined || n < 2 ? height / n : (height - groundFloor) / (n - 1);
}

/** The storeys of a building's lowest part, or of one that is set back on it, from its foot up. */
export function floorsOf(
  building: Pick<Building, "height" | "storeys" | "groundFloor">,
  height: number,
  onGround: boolean,
): readonly Floor[] {
  const upper = upperStorey(building);
  const first = (onGround && storeysOf(building) > 1 ? building.groundFloor : undefined) ?? upper;
  const more = Math.max(0, Math.floor((height - first) / upper + 1e-6));
  return [
    { low: 0, height: first },
    ...Array.from({ length: more }, (_, i) => ({ low: first + i * upper, height: upper })),
  ];
}
