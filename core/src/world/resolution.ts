import type { Vec2, Vec3 } from "../geometry";
import { distanceToBox, type PlanBox } from "./polygon";

/** What can be told apart in a drawing: lines that the eye sees nearer together than the angle (rad) would clot. */
export interface Resolution {
  readonly eye: Vec3;
  readonly leastAngle: number;
}

/** What is smaller than so many of the least lengths is left with its outline. */
export const OUTLINE_ONLY = 5;

/**
 * The length (m) under which two lines within a box on the plan cannot be told apart: a power of two that is no greater
 * than the least angle makes it, so that it stays as it is for small moves; 0 where the eye is over the box.
 */
export function leastLengthAt({ eye: [x, y], leastAngle }: Resolution, box: PlanBox): number {
  const at: Vec2 = [x, y];
  const least = distanceToBox(at, box) * leastAngle;
  return least > 0 ? 2 ** Math.floor(Math.log2(least)) : 0;
}

/** Which share of a row of lines so far apart (m) can be told apart: every first, second, fourth ... */
export const shareOf = (spacing: number, least: number): number =>
  least <= spacing ? 1 : 2 ** Math.ceil(Math.log2(least / spacing));
