import { azimuthal } from "./azimuthal";

/** r = sin theta: the world on a ball seen from afar (Snyder, USGS PP 1395, 1987, chapters 20 to 25). */
export const orthographic = azimuthal({
  id: "orthographic",
  limit: 90,
  radius: Math.sin,
  angle: (r) => Math.asin(Math.min(1, r)),
  slope: Math.cos,
  curve: (t) => -Math.sin(t),
});
