import { DEFAULT_WINDOWS, validateBuilding, type Building } from "./kinds/building";
import { boxOf } from "./box";
import { DEFAULT_ROW } from "./row";

/** A roof rises by so much of the width that it spans, at least and at most (common practice). */
const STEEP = [0.25, 0.4] as const;

/**
 * A building with windows in every storey, and one of the roofs that are usual and stand on its footprint; what it has
 * already stays.
 * @param roll a whole number below another one, by chance
 */
export function dressed(building: Building, roll: (below: number) => number): Building {
  const storeys = building.storeys ?? Math.max(1, Math.round(building.height / DEFAULT_ROW.storey));
  const windowed = building.windows ? building : { ...building, storeys, windows: DEFAULT_WINDOWS };
  const [kind, share] = [DEFAULT_ROW.roofs[roll(DEFAULT_ROW.roofs.length)], roll(1001) / 1000];
  const { roof } = building;
  if (roof.kind !== "flat" || roof.rise !== undefined) return windowed;
  const flat: Building = { ...windowed, roof: { kind: "flat", rise: 0.8 } };
  const width = boxOf(building).width;
  const roofed: Building =
    kind === "flat" ? flat : { ...windowed, roof: { kind, rise: width * (STEEP[0] + share * (STEEP[1] - STEEP[0])) } };
  return [roofed, flat].find((one) => validateBuilding(one) === null) ?? windowed;
}
