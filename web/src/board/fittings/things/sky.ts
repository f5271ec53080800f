import { isHeavenly, newSky, SKY_THINGS, type SkyThing } from "@zanvo/core/world";
import { newSeed } from "../../../seed";
import { isFloor, type Thing } from "./thing";

export const sky: readonly Thing[] = (Object.keys(SKY_THINGS) as SkyThing[]).map((thing) => ({
  id: `sky-${thing}`,
  label: SKY_THINGS[thing].label,
  isHeavenly: isHeavenly(thing),
  put: (place) => {
    const [x, y, z] = place.at;
    if (isHeavenly(thing)) return newSky(thing, { x, y, z }, 1);
    const { label, up } = SKY_THINGS[thing];
    // Smoke rises from where it is pressed, such as a chimney; the others are over their place of the ground.
    return thing === "smoke" || isFloor(place)
      ? newSky(thing, { x, y, z: z + up }, newSeed())
      : `${label}: press the ground that it is over.`;
  },
}));
