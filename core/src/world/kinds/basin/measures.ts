import { distance2, type Vec2 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { areaTwice, crossingOf, inset, isConvex } from "../../polygon";
import type { ElementError } from "../kind";
import type { Basin } from "./schema";

/** A small dock, m (common practice). */
export const DEFAULT_BASIN: Pick<Basin, "quay" | "depth" | "coping"> = { quay: 0.6, depth: 1.6, coping: 0.15 };
/** Water without built walls has banks so wide and lies so deep, m (common practice). */
export const NATURAL_WATER: Pick<Basin, "quay" | "depth" | "coping"> = { quay: 0.3, depth: 0.4, coping: 0 };

export const islandsOf = ({ islands = [] }: Basin): readonly (readonly Vec2[])[] =>
  islands.map((footprint) => cornersOf({ footprint }));

/**
 * Whether walls of a width along a rim fill all that is within it: where corners bend inwards, for certain only from
 * twice the area over the length of the rim on.
 */
function isFilled(points: readonly Vec2[], wall: number): boolean {
  if (isConvex(points)) return inset(points, wall) === null;
  const around = points.reduce((sum, at, i) => sum + distance2(at, points[(i + 1) % points.length]), 0);
  return wall * around >= areaTwice(points);
}

/** Why a basin cannot be dug, and the field; null where it can. */
export function validateBasin(basin: Basin): ElementError | null {
  const points = cornersOf(basin);
  if (points.length < 3 || areaTwice(points) < 1e-6)
    return { field: "footprint", message: "has no area: its corners lie on one line." };
  if (crossingOf(points)) return { field: "footprint", message: "crosses itself." };
  if (islandsOf(basin).some((island) => island.length < 3 || crossingOf(island)))
    return { field: "islands", message: "have no area, or cross themselves." };
  return isFilled(points, basin.quay) ? { field: "quay", message: "leaves no water between the walls." } : null;
}
