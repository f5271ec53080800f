import { headingAlong, headingDirection, type Vec2 } from "../../../geometry";
import { metres, sentence } from "../../../units";
import { placeBeside, rectangleAround } from "../../around";
import { lengthOf, pathOf, placeAlong } from "../../path";
import { spotsOf, validateSpots } from "../spots";
import { LEAST_BENDS, runsOnRails, VEHICLES, type Vehicle } from "./schema";

/** Where a vehicle's middle is, and which way it points. */
export interface StandingVehicle {
  readonly at: Vec2;
  readonly heading: number;
}

/** Cars stand on their bogies, which are so far apart, as a part of their length. */
const BOGIES = 0.52;

/** The cars of a tram or a train on its track, from the first place on: each between the places of its bogies. */
function carsOn({ path, bend, smooth, cars = 1, every, length }: Vehicle): readonly StandingVehicle[] {
  const track = pathOf({ path, bend, smooth });
  const long = lengthOf(track);
  return Array.from({ length: cars }, (_, i) => i).flatMap((i): readonly StandingVehicle[] => {
    const middle = length / 2 + i * every;
    if (middle + length / 2 > long + 1e-6) return [];
    const half = (BOGIES * length) / 2;
    const [rear, front] = [placeAlong(track, middle - half, 0), placeAlong(track, middle + half, 0)];
    if (!rear || !front) return [];
    const heading = headingAlong([front[0] - rear[0], front[1] - rear[1]]);
    return [{ at: [(rear[0] + front[0]) / 2, (rear[1] + front[1]) / 2], heading }];
  });
}

/** Where the vehicles stand; nowhere where they cannot. */
export function standsOfVehicles(vehicle: Vehicle): readonly StandingVehicle[] {
  if (validateVehicle(vehicle)) return [];
  const { path, heading, thing, cars = 1, every } = vehicle;
  if (path.length === 1)
    // Coupled cars stand behind each other.
    return Array.from({ length: runsOnRails(thing) ? cars : 1 }, (_, i) => ({
      at: placeBeside([path[0].x, path[0].y], headingDirection(heading), [0, -i * every]),
      heading,
    }));
  if (runsOnRails(thing)) return carsOn(vehicle);
  const spots = spotsOf(vehicle);
  return spots.map((at, i) => {
    const [p, q] = i + 1 < spots.length ? [at, spots[i + 1]] : [spots[i - 1] ?? at, at];
    const far = Math.hypot(q[0] - p[0], q[1] - p[1]);
    return { at, heading: far > 0 ? headingAlong([q[0] - p[0], q[1] - p[1]]) : heading };
  });
}

/** Why vehicles cannot stand so, and the field; null where they can. */
export function validateVehicle(vehicle: Vehicle) {
  const along = validateSpots(vehicle);
  if (along) return along;
  const { path, thing, every, length, bend = 0, smooth } = vehicle;
  if (path.length > 1 && thing !== "bicycle" && every < length)
    return { field: "every", message: "is less than they are long: they would stand in one another." };
  const least = LEAST_BENDS[thing] ?? 0;
  if (path.length > 2 && !smooth && bend < least) {
    const what = VEHICLES[thing].label.toLowerCase();
    return { field: "bend", message: sentence`is too sharp for a ${what}: ${metres(least)} of radius are the least.` };
  }
  return null;
}

/** The ground that one vehicle takes, counter-clockwise. */
export const groundOfVehicle = ({ at, heading }: StandingVehicle, { length, width }: Vehicle): readonly Vec2[] =>
  rectangleAround(at, headingDirection(heading), [-width / 2, width / 2], [-length / 2, length / 2]);
