import type { LensLaw } from "./law";
import { cylindrical } from "./cylindrical";
import { equidistant } from "./equidistant";
import { equirectangular } from "./equirectangular";
import { equisolid } from "./equisolid";
import { lyingCylindrical } from "./lyingCylindrical";
import { orthographic } from "./orthographic";
import { rectilinear } from "./rectilinear";
import { stereographic } from "./stereographic";

export type { LensLaw } from "./law";

/** Every law that shots can be drawn with. A new law is one file and one line here. */
export const LAWS = {
  rectilinear,
  stereographic,
  equidistant,
  equisolid,
  orthographic,
  cylindrical,
  "cylindrical-lying": lyingCylindrical,
  equirectangular,
} as const satisfies Record<string, LensLaw>;

export type LawId = keyof typeof LAWS;
