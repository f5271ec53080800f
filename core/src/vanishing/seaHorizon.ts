import { radians } from "../geometry";

/** The mean radius of the earth, m (IUGG, from memory). */
export const EARTH = 6_371_009;

/** How far below eye level the horizon of the sea lies for an eye so high over it, m: radians, without refraction. */
export const dipOf = (height: number): number => Math.acos(EARTH / (EARTH + height));

/**
 * How far away the horizon of the sea is along the water for an eye so high over it, m: some 3.57 km times the root of
 * its height in m (geometry of a sphere, without refraction).
 */
export const horizonDistance = (height: number): number => EARTH * dipOf(height);

/** How much of what stands so far away on the water is hidden beyond its horizon, m from the water up. */
export function hiddenBeyond(height: number, distance: number): number {
  const beyond = (distance - horizonDistance(height)) / EARTH;
  return beyond <= 0 ? 0 : EARTH * (1 / Math.cos(Math.min(beyond, radians(80))) - 1);
}
