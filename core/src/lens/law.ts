import type { Vec2, Vec3 } from "../geometry";

/**
 * A lens law, at picture distance 1: how a view direction in eye axes (right, up, forward) becomes a picture point
 * (x right, y up, from the centre of vision), and back. The picture distance scales every law, so laws can be
 * swapped with the middle of the picture unchanged.
 */
export interface LensLaw {
  readonly id: string;
  /** The picture of a direction of any length, or null where the law shows nothing. */
  picture(direction: Vec3): Vec2 | null;
  /** The unit direction seen at a picture point. */
  ray(point: Vec2): Vec3;
  /** Local enlargement at `theta` radians off the gaze, against the middle: along the radius, and across it. */
  stretch(theta: number): { readonly radial: number; readonly tangential: number };
}
