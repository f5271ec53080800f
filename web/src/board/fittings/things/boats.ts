import { BOATS, newBoat, type BoatThing } from "@zanvo/core/world";
import { isFloor, type Thing } from "./thing";

export const boats: readonly Thing[] = (Object.keys(BOATS) as BoatThing[]).map((thing) => ({
  id: `boat-${thing}`,
  label: BOATS[thing].label,
  put: (place) => {
    const [x, y, z] = place.at;
    return isFloor(place)
      ? newBoat(thing, { x, y, z }, place.heading + 90)
      : `A ${BOATS[thing].label.toLowerCase()} lies on water or on the ground: press there.`;
  },
}));
