import { newVehicle, runsOnRails, VEHICLES, type VehicleThing } from "@zanvo/core/world";
import { isFloor, type Thing } from "./thing";

export const vehicles: readonly Thing[] = (Object.keys(VEHICLES) as VehicleThing[]).map((thing) => ({
  id: `vehicle-${thing}`,
  label: VEHICLES[thing].label,
  runsOn: runsOnRails(thing) ? "rails" : "wheels",
  put: (place) => {
    const [x, y] = place.at;
    return isFloor(place)
      ? newVehicle(thing, [{ x, y }], place.heading)
      : `A ${VEHICLES[thing].label.toLowerCase()} stands on the ground: press there.`;
  },
}));
