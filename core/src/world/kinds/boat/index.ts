import { headingDirection } from "../../../geometry";
import { placeBeside } from "../../around";
import { heightTags } from "../block";
import { elementKind } from "../kind";
import { railOf } from "./hull";
import { BoatSchema, BOATS, type Boat, type BoatThing } from "./schema";
export { BOATS, type Boat, type BoatThing } from "./schema";

/** A boat of its usual size, all but its id and its name. */
export function newBoat(thing: BoatThing, at: Boat["at"], heading = 0): Omit<Boat, "id" | "name"> {
  const { length, width, side, draught } = BOATS[thing];
  return { kind: "boat", thing, at, heading, length, width, side, draught };
}

export const boat = elementKind<Boat>(BoatSchema, {
  kind: "boat",
  word: "Boat",
  stands: true,
  outline: (element) => {
    const { at, heading } = element;
    return railOf(element).map((place) => placeBeside([at.x, at.y], headingDirection(heading), place));
  },
  span: ({ at, draught, side }) => [at.z - draught, side + draught],
  places: () => [],
  placed: (element) => element,
  geoJson: {
    write: (element) => ({
      shape: "area",
      properties: { ...heightTags(0, element.side), boat: element.thing },
    }),
  },
  faces: ({ heading }) => heading,
  letsIn: () => true,
});
