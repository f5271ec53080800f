import { circle } from "../../polygon";
import { heightTags } from "../block";
import { elementKind } from "../kind";
import { SKY_THINGS, SkySchema, type Sky, type SkyThing } from "./schema";
import { reachOfSky } from "./shapes";
export { HEAVENLY, isHeavenly, SKY_THINGS, type Sky, type SkyThing } from "./schema";

/** Something in the sky at its usual size, all but its id and its name. */
export const newSky = (thing: SkyThing, at: Sky["at"], seed: number): Omit<Sky, "id" | "name"> => ({
  kind: "sky",
  thing,
  at,
  size: SKY_THINGS[thing].size,
  seed,
});

export const sky = elementKind<Sky>(SkySchema, {
  kind: "sky",
  word: "Sky",
  stands: true,
  outline: ({ at, size }) => circle([at.x, at.y], size / 2, 24),
  span: (element) => [element.at.z, reachOfSky(element)],
  places: () => [],
  placed: (element) => element,
  geoJson: {
    write: (element) => ({
      shape: "area",
      properties: { ...heightTags(element.at.z, reachOfSky(element)), sky: element.thing },
    }),
  },
  letsIn: () => true,
});
