import { drum } from "./drum";

/**
 * y = tan phi with its inverse and bounds: phi' = sin alpha, phi'' = -sin phi cos phi lambda'^2, lambda' = cos alpha
 * / cos phi.
 */
export const TANGENT = {
  limit: 85,
  height: Math.tan,
  latitude: Math.atan,
  slope: (phi: number) => 1 / Math.cos(phi) ** 2,
  rise: (phi: number) => (2 * Math.tan(phi)) / Math.cos(phi) ** 2,
};

/** x = lambda, y = tan phi: the horizon all round, uprights straight. */
export const cylindrical = drum({ id: "cylindrical", ...TANGENT });
