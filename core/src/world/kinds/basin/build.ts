import { areasOf, grown, without, type Region } from "../../areas";
import { buildCuttings } from "../../cuttings";
import { cornersOf } from "../../outline";
import { areaTwice, crossingOf } from "../../polygon";
import type { Solid } from "../../solid";
import type { Cutting, ElementError } from "../kind";
import type { Basin } from "./schema";

/** A small dock, m (common practice). */
export const DEFAULT_BASIN: Pick<Basin, "quay" | "depth" | "coping"> = { quay: 0.6, depth: 1.6, coping: 0.15 };
/** Water without built walls has banks so wide and lies so deep, m (common practice). */
export const NATURAL_WATER: Pick<Basin, "quay" | "depth" | "coping"> = { quay: 0.3, depth: 0.4, coping: 0 };

/** Walls reach so far under the water, m. */
const UNDER = 1;

const islandsOf = ({ islands = [] }: Basin): Region => islands.map((footprint) => cornersOf({ footprint }));

/** What a basin takes of the plan: all within its outline but its islands. */
const takenOf = (basin: Basin): Region => without([cornersOf(basin)], islandsOf(basin));

/** Why a basin cannot be dug, and the field; null where it can. */
export function validateBasin(basin: Basin): ElementError | null {
  const points = cornersOf(basin);
  if (points.length < 3 || areaTwice(points) < 1e-6)
    return { field: "footprint", message: "has no area: its corners lie on one line." };
  if (crossingOf(points)) return { field: "footprint", message: "crosses itself." };
  if (islandsOf(basin).some((island) => island.length < 3 || crossingOf(island)))
    return { field: "islands", message: "have no area, or cross themselves." };
  return areasOf(grown(takenOf(basin), -basin.quay)).length === 0
    ? { field: "quay", message: "leaves no water between the walls." }
    : null;
}

/** The cutting that a basin is dug as; null where it cannot be. */
export function cuttingOf(basin: Basin): Cutting | null {
  if (validateBasin(basin)) return null;
  const { quay, depth, coping } = basin;
  return {
    taken: () => takenOf(basin),
    waters: () => [{ depth, region: grown(takenOf(basin), -quay) }],
    tangled: false,
    top: coping,
    bottom: -depth - UNDER,
    standing: () => [],
  };
}

/** The solids of a basin by itself: its water and the walls around it. */
export function buildBasin(basin: Basin): Solid[] {
  const cutting = cuttingOf(basin);
  return cutting ? buildCuttings(basin.id, [cutting]) : [];
}
