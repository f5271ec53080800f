import { drum } from "./drum";

/** x = lambda, y = phi: everything, on a sheet twice as wide as high. */
export const equirectangular = drum({
  id: "equirectangular",
  limit: 90,
  height: (phi) => phi,
  latitude: (y) => y,
  slope: () => 1,
  rise: Math.tan,
});
