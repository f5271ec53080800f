import { unit } from "../geometry";
import { azimuthal } from "./azimuthal";
import type { LensLaw } from "./law";

/** The straight lens: r = d tan theta, below 90 degrees. The gnomonic projection (Snyder, USGS PP 1395, 1987). */
export const rectilinear: LensLaw = {
  ...azimuthal({
    id: "rectilinear",
    limit: 89.99,
    straight: true,
    radius: Math.tan,
    angle: Math.atan,
    slope: (t) => 1 / Math.cos(t) ** 2,
    curve: (t) => (2 * Math.tan(t)) / Math.cos(t) ** 2,
  }),
  // Everything before the eye is shown, however far out, and exactly.
  project: ([a, b, c]) => (c > 0 ? [a / c, b / c] : null),
  unproject: ([x, y]) => unit([x, y, 1]),
};
