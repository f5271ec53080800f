import type { Vec2, Vec3 } from "../geometry";

/**
 * A lens law, at picture distance 1: how a unit view direction in eye axes (right, up, forward) becomes a picture point
 * (x right, y up, from the centre of vision), and back. The picture distance scales every law, so laws can be swapped
 * with the middle of the picture unchanged.
 */
export interface LensLaw {
  readonly id: string;
  /** Straight lines of the world are drawn straight. */
  readonly straight: boolean;
  /** Round about the gaze, or a drum around an upright or a lying axis that is cut open behind the eye. */
  readonly shape: "round" | "drum" | "lying drum";
  /** How far `off` may be and still be shown, in radians. */
  readonly limit: number;
  /** How far a direction is off the gaze (round), or off the drum's girdle, in radians. */
  off(direction: Vec3): number;
  /** The picture of a direction of any length, or null where the law shows nothing. */
  project(direction: Vec3): Vec2 | null;
  /** The unit direction seen at a picture point; beyond what the law shows, that at the nearest edge of it. */
  unproject(point: Vec2): Vec3;
  /** How fast the picture of a unit direction moves while the direction moves with a velocity across it. */
  velocity(direction: Vec3, velocity: Vec3): Vec2;
  /**
   * A bound on how fast that velocity itself changes while a direction runs along a great circle at unit speed,
   * anywhere up to so far `off`: the second derivative of a picture curve, by which it may depart from its chords.
   */
  curvatureBound(off: number): number;
  /**
   * Local enlargement at a direction, against the middle: along the radius and across it, or along a drum's axis and
   * around it.
   */
  stretch(direction: Vec3): { readonly radial: number; readonly tangential: number };
}
