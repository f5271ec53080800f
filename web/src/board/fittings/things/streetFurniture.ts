import { newStreetFurniture, STREET_THINGS, type StreetThing } from "@zanvo/core/world";
import { isFloor, type Thing } from "./thing";

export const streetFurniture: readonly Thing[] = (Object.keys(STREET_THINGS) as StreetThing[]).map((thing) => ({
  id: `street-${thing}`,
  label: STREET_THINGS[thing].label,
  put: (place) => {
    const [x, y] = place.at;
    return isFloor(place)
      ? newStreetFurniture(thing, [{ x, y }], place.heading)
      : `A ${STREET_THINGS[thing].label.toLowerCase()} stands on the ground: press there.`;
  },
}));
