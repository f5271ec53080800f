import type { LensLaw } from "./law";
import { cylindrical, equirectangular, lyingCylindrical } from "./drum";
import { rectilinear } from "./rectilinear";
import { equidistant, equisolid, orthographic, stereographic } from "./round";

export type { LensLaw } from "./law";

/** Every law that shots can be drawn with. A new law is one file and one line here. */
export const LAWS = {
  rectilinear, stereographic, equidistant, equisolid, orthographic, cylindrical, "cylindrical-lying": lyingCylindrical, equirectangular,
} as const satisfies Record<string, LensLaw>;

export type LawId = keyof typeof LAWS;
