import type { LensLaw } from "./law";
import { rectilinear } from "./rectilinear";

export type { LensLaw } from "./law";

/** Every law that shots can be drawn with. A new law is one file and one line here. */
export const LAWS = { rectilinear } as const satisfies Record<string, LensLaw>;

export type LawId = keyof typeof LAWS;
