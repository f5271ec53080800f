import type { Vec3 } from "../../geometry";

/**
 * How finely a round surface falls into facets: by a sagitta, m; or for an eye, which sees its rims and contours within
 * an angle, rad. What lies between these is coarser there, unless other things cut through it.
 */
export type Fineness =
  | {
      readonly eye: Vec3;
      readonly within: number;
      readonly isCut: boolean;
      /** Whether the eye is within the solid: then all that it has is seen. */
      readonly isInside: boolean;
      readonly sagitta?: undefined;
    }
  | { readonly eye?: undefined; readonly sagitta: number };

/** The eye is taken to be no nearer to a surface than this, m. */
const NEAREST = 0.05;

/** How far a facet may leave its surface at a distance from the eye, m. */
export const sagittaAt = (how: Fineness, distance: number): number =>
  how.sagitta ?? Math.max(NEAREST, distance) * how.within;

/** What lies between rims and contours may leave its surface by so many times as much: nobody sees how deep it is. */
const COARSE = 16;

/** How far a facet between rims and contours may leave its surface at a distance from the eye, m. */
export const insideSagittaAt = (how: Fineness, distance: number): number =>
  sagittaAt(how, distance) * (how.eye && !how.isCut ? COARSE : 1);

/** Whether only those facets are wanted that look at the eye: the others hide nothing, and are cut by nothing. */
export const wantsFrontsOnly = (how: Fineness): boolean => how.eye !== undefined && !how.isCut && !how.isInside;
