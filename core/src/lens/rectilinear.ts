import { unit } from "../geometry";
import type { LensLaw } from "./law";

/** The straight lens: r = d tan theta, below 90 degrees. The gnomonic projection (Snyder, USGS PP 1395, 1987). */
export const rectilinear: LensLaw = {
  id: "rectilinear",
  picture: ([a, b, c]) => (c > 0 ? [a / c, b / c] : null),
  ray: ([x, y]) => unit([x, y, 1]),
  stretch: (theta) => ({ radial: 1 / Math.cos(theta) ** 2, tangential: 1 / Math.cos(theta) }),
};
