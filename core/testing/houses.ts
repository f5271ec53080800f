import { inMetric } from "../src/units";
import { newBuilding, validateBuilding, type Building } from "../src/world";

/** A house of 12 by 9 m and three storeys of 3 m, its first side to the south. */
export const plainHouse = (change: Partial<Building> = {}): Building =>
  newBuilding({
    ...{ id: "house", name: "Chandlery", base: 0, height: 9, storeys: 3, roof: { kind: "flat" } },
    footprint: [
      { x: 0, y: 0 },
      { x: 12, y: 0 },
      { x: 12, y: 9 },
      { x: 0, y: 9 },
    ],
    ...change,
  });

/** Why a building cannot stand: the field and the reason; nothing where it can. */
export function whyNot(building: Building): string {
  const problem = validateBuilding(building);
  return problem ? `${problem.field} ${inMetric(problem.message)}` : "";
}
