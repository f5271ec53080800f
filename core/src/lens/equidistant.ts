import { azimuthal } from "./azimuthal";

/**
 * r = theta: equal angles off the gaze are equal steps on the paper (Snyder, USGS PP 1395, 1987, chapters 20 to 25).
 */
export const equidistant = azimuthal({
  id: "equidistant",
  limit: 180,
  radius: (t) => t,
  angle: (r) => r,
  slope: () => 1,
  curve: () => 0,
});
