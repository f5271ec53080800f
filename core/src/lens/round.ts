import { azimuthal } from "./azimuthal";

// The laws that are round about the gaze: radius, inverse and derivatives as in Snyder, Map Projections: A Working Manual
// (USGS Professional Paper 1395, 1987), chapters 20 to 25, with theta for the angular distance from the centre.

/** r = 2 tan(theta / 2): straight lines become exact circular arcs, angles are kept. */
export const stereographic = azimuthal({
  id: "stereographic", limit: 175,
  radius: (t) => 2 * Math.tan(t / 2), angle: (r) => 2 * Math.atan(r / 2),
  slope: (t) => 1 / Math.cos(t / 2) ** 2, curve: (t) => Math.tan(t / 2) / Math.cos(t / 2) ** 2,
});

/** r = theta: equal angles off the gaze are equal steps on the paper. */
export const equidistant = azimuthal({ id: "equidistant", limit: 180, radius: (t) => t, angle: (r) => r, slope: () => 1, curve: () => 0 });

/** r = 2 sin(theta / 2): areas are kept. */
export const equisolid = azimuthal({
  id: "equisolid", limit: 180,
  radius: (t) => 2 * Math.sin(t / 2), angle: (r) => 2 * Math.asin(Math.min(1, r / 2)),
  slope: (t) => Math.cos(t / 2), curve: (t) => -Math.sin(t / 2) / 2,
});

/** r = sin theta: the world on a ball seen from afar. */
export const orthographic = azimuthal({ id: "orthographic", limit: 90, radius: Math.sin, angle: (r) => Math.asin(Math.min(1, r)), slope: Math.cos, curve: (t) => -Math.sin(t) });
