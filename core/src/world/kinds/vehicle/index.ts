import { metres, metresBetween, sentence } from "../../../units";
import { heightTags } from "../block";
import { elementKind, onPath, type Figure } from "../kind";
import { groundAlong } from "../spots";
import { groundOfVehicle, standsOfVehicles, validateVehicle } from "./places";
import { runsOnRails, VEHICLES, VehicleSchema, type Vehicle, type VehicleThing } from "./schema";
export { groundOfVehicle, standsOfVehicles } from "./places";
export { runsOnRails, VEHICLES, type Vehicle, type VehicleThing } from "./schema";

/** A vehicle of its usual size, all but its id and its name. */
export function newVehicle(thing: VehicleThing, path: Vehicle["path"], heading = 0): Omit<Vehicle, "id" | "name"> {
  const { length, width, height, every } = VEHICLES[thing];
  return { kind: "vehicle", thing, path, heading, length, width, height, every };
}

/** No wider than this on a road (directive 96/53/EC), and on a track (UIC 505-1), m; both from memory. */
const [WIDEST, WIDEST_ON_RAILS] = [2.55, 3.15] as const;

function figuresOf({ name, thing, width: value }: Vehicle): readonly Figure[] {
  const usual = VEHICLES[thing].width;
  const limits = [0.8 * usual, Math.min(runsOnRails(thing) ? WIDEST_ON_RAILS : WIDEST, 1.2 * usual)] as const;
  const told = sentence`${name} is ${metres(value)} wide.`;
  return [{ value, limits, told, usual: sentence`Its like have ${metresBetween(...limits, 1)}` }];
}

export const vehicle = elementKind<Vehicle>(VehicleSchema, {
  kind: "vehicle",
  word: "Vehicle",
  stands: true,
  validate: validateVehicle,
  outline: (element) => {
    const stands = standsOfVehicles(element);
    return stands.length === 1 ? groundOfVehicle(stands[0], element) : groundAlong(element, element.width / 2);
  },
  span: ({ height }) => [0, height],
  ...onPath,
  withoutPlace: (element, place) =>
    element.path.length > 1 ? { ...element, path: element.path.toSpliced(place, 1) } : null,
  geoJson: {
    write: ({ path, height, thing }) => ({
      shape: path.length > 1 ? "line" : "area",
      properties: { ...heightTags(0, height), vehicle: thing },
    }),
  },
  figures: figuresOf,
  faces: ({ heading, path }) => (path.length > 1 ? undefined : heading),
  letsIn: () => true,
});
