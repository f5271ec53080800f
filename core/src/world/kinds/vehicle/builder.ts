import { elementBuilder } from "../builder";
import { buildVehicle, vehicleDetails } from "./build";
import type { Vehicle } from "./schema";

export const vehicleBuilder = elementBuilder<Vehicle>({
  build: buildVehicle,
  details: (element, solids, around) => vehicleDetails(element, solids, around?.leastLength),
  fine: () => true,
  settle: () => "draped",
});
