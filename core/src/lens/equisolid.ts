import { azimuthal } from "./azimuthal";

/** r = 2 sin(theta / 2): areas are kept (Snyder, USGS PP 1395, 1987, chapters 20 to 25). */
export const equisolid = azimuthal({
  id: "equisolid",
  limit: 180,
  radius: (t) => 2 * Math.sin(t / 2),
  angle: (r) => 2 * Math.asin(Math.min(1, r / 2)),
  slope: (t) => Math.cos(t / 2),
  curve: (t) => -Math.sin(t / 2) / 2,
});
