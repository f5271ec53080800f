import type { RecoveredView } from "./view";

/** 95 % of a normal distribution lie within so many standard deviations. */
export const NINETY_FIVE = 1.96;
/**
 * However exact the edges are, a lens is no ideal one: its own error, as a share of the focal length and in degrees
 * (common practice).
 */
const LENS_FLOOR = 0.005;
const ANGLE_FLOOR = 0.1;

/** How far what is told of a view may be off, at 95 %. */
export interface Bounds {
  /** Share of the focal length; null where it is not told, or given by hand. */
  readonly lens: number | null;
  /** Degrees. */
  readonly pitch: number | null;
  readonly roll: number | null;
}

const both = (sd: number, floor: number): number => Math.hypot(NINETY_FIVE * sd, floor);

/** Bounds of a view at 95 %, with the error that every lens has. */
export function boundsOf({ focalLength, sure }: Pick<RecoveredView, "focalLength" | "sure">): Bounds {
  return {
    lens: focalLength && focalLength.sd > 0 ? both(focalLength.sd / focalLength.px, LENS_FLOOR) : null,
    pitch: sure && both(sure.pitch, ANGLE_FLOOR),
    roll: sure && both(sure.roll, ANGLE_FLOOR),
  };
}
