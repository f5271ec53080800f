import { heightTags } from "../block";
import { elementKind, onPath } from "../kind";
import { groundAlong, validateSpots } from "../spots";
import { STREET_THINGS, StreetFurnitureSchema, type StreetFurniture, type StreetThing } from "./schema";
export { catenaryFor, wireBetween } from "./catenary";
export { STREET_THINGS, type StreetFurniture, type StreetThing } from "./schema";

/** A thing of its usual size, all but its id and its name. */
export function newStreetFurniture(
  thing: StreetThing,
  path: StreetFurniture["path"],
  heading = 0,
): Omit<StreetFurniture, "id" | "name"> {
  const { height, every, wires }: { height: number; every: number; wires?: number } = STREET_THINGS[thing];
  return { kind: "street-furniture", thing, path, every, height, heading, ...(wires ? { wires } : {}) };
}

/** How far each reaches around its place on the ground, as a part of its height. */
const REACH: Partial<Record<StreetThing, number>> = { kiosk: 0.5, stall: 0.7, shelter: 0.8, bin: 0.3 };
/** The hoops of a ladder stand so far over a quay, m. */
const HOOPS = 0.9;
/** Of posts, this. */
const POST = 0.05;

export const streetFurniture = elementKind<StreetFurniture>(StreetFurnitureSchema, {
  kind: "street-furniture",
  word: "Street furniture",
  stands: true,
  validate: validateSpots,
  outline: (element) => groundAlong(element, (REACH[element.thing] ?? POST) * element.height),
  // Down a quay it hangs as deep as it is high.
  span: ({ height, thing }) => (thing === "quayLadder" ? [-height, height + HOOPS] : [0, height]),
  ...onPath,
  withoutPlace: (element, place) =>
    element.path.length > 1 ? { ...element, path: element.path.toSpliced(place, 1) } : null,
  geoJson: {
    write: ({ path, height, thing }) => ({
      shape: path.length > 1 ? "line" : "area",
      properties: { ...heightTags(0, height), "street-furniture": thing },
    }),
  },
  faces: ({ heading, path }) => (path.length > 1 ? undefined : heading),
  letsIn: () => true,
});
