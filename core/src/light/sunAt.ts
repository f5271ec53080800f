import { getPosition } from "suncalc";
import { wrap } from "../geometry";

/** A place of the Earth, and how the world is turned on it. */
export interface OnEarth {
  readonly longitude: number;
  readonly latitude: number;
  /** The world's heading of true north, degrees. */
  readonly north: number;
}

/**
 * Where the sun stands at a place and a moment: its heading in the world and its angle over the horizon, degrees, with
 * refraction; below the horizon it is negative. (suncalc: within some hundredths of a degree of the almanac.)
 */
export function sunAt({ longitude, latitude, north }: OnEarth, when: Date) {
  const { azimuth, altitude } = getPosition(when, latitude, longitude);
  return { heading: wrap(azimuth + north, -180, 360), height: altitude };
}
