import { azimuthal } from "./azimuthal";

/**
 * r = 2 tan(theta / 2): straight lines become exact circular arcs, angles are kept (Snyder, USGS PP 1395, 1987,
 * chapters 20 to 25).
 */
export const stereographic = azimuthal({
  id: "stereographic",
  limit: 175,
  radius: (t) => 2 * Math.tan(t / 2),
  angle: (r) => 2 * Math.atan(r / 2),
  slope: (t) => 1 / Math.cos(t / 2) ** 2,
  curve: (t) => Math.tan(t / 2) / Math.cos(t / 2) ** 2,
});
