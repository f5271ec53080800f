import { elementBuilder, onLowest } from "../builder";
import { cornersOf } from "../../outline";
import { buildBuilding } from "./masses";
import { hasFineDetails, openingsOf } from "./openings";
import type { Building } from "./schema";

export const buildingBuilder = elementBuilder<Building>({
  build: (element, around) => buildBuilding(element, around?.rises),
  details: (element, solids, around) => openingsOf(element, solids, around),
  fine: hasFineDetails,
  settle: onLowest(cornersOf),
});
