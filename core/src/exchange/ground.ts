import { radians, type Vec2 } from "../geometry";
import type { Scene } from "../scene";

/** Where the world's origin lies on the Earth, degrees, and the world's heading of true north. */
export type Ground = NonNullable<Scene["ground"]>;

/**
 * The Earth's ellipsoid, WGS 84 (EPSG 7030): its longer half axis, m, and the square of its eccentricity.
 */
const A = 6_378_137;
const E2 = 0.00669437999014;

/**
 * Metres for a degree of longitude and of latitude at a latitude: the ellipsoid's two radii of curvature there
 * (Snyder, USGS PP 1395, 1987, ch. 4 (from memory); checked against GeographicLib).
 */
function perDegree(latitude: number): readonly [number, number] {
  const phi = radians(latitude);
  const w = 1 - E2 * Math.sin(phi) ** 2;
  return [radians(1) * (A / Math.sqrt(w)) * Math.cos(phi), radians(1) * ((A * (1 - E2)) / w ** 1.5)];
}

/** Longitude and latitude as a place of the world, m: within a thousandth over some kilometres around the origin. */
export function toWorld({ longitude, latitude, north }: Ground, [lon, lat]: Vec2): Vec2 {
  // Degrees are counted at the middle latitude of the way, where they stand for the mean of both ends.
  const [kx, ky] = perDegree((latitude + lat) / 2);
  const [e, n] = [(lon - longitude) * kx, (lat - latitude) * ky];
  const [c, s] = [Math.cos(radians(north)), Math.sin(radians(north))];
  return [c * e + s * n, c * n - s * e];
}

/** A place of the world, m, as longitude and latitude: the inverse, by going there and back. */
export function toEarth(ground: Ground, [x, y]: Vec2): Vec2 {
  const [c, s] = [Math.cos(radians(ground.north)), Math.sin(radians(ground.north))];
  const [e, n] = [c * x - s * y, s * x + c * y];
  let lat = ground.latitude;
  for (let i = 0; i < 4; i++) lat = ground.latitude + n / perDegree((ground.latitude + lat) / 2)[1];
  return [ground.longitude + e / perDegree((ground.latitude + lat) / 2)[0], lat];
}
