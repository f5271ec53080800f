import { grown, without, type Region } from "../../areas";
import { buildCuttings } from "../../cuttings";
import { cornersOf } from "../../outline";
import type { Solid } from "../../solid";
import type { Cutting } from "../kind";
import { islandsOf, validateBasin } from "./measures";
import type { Basin } from "./schema";

/** Walls reach so far under the water, m. */
const UNDER = 1;

/** What a basin takes of the plan: all within its outline but its islands. */
const takenOf = (basin: Basin): Region => without([cornersOf(basin)], islandsOf(basin));

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
