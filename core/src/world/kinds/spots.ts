import type { Vec2 } from "../../geometry";
import { circle } from "../polygon";
import { lengthOf, pathOf, placeAlong, ribbon } from "../path";
import type { ElementError } from "./kind";

/** What stands at one place, or along a line at even distances. */
interface AlongLine {
  readonly path: { x: number; y: number }[];
  readonly bend?: number;
  readonly smooth?: boolean;
  /** How far apart they stand, m. */
  readonly every: number;
}

/** No line has more of a kind along it than these. */
export const MAX_SPOTS = 500;

/** Places nearer to the line's end than this part of a step are at its end. */
const NEAR_END = 1e-6;

/** Where each stands, from the first place of the line on: a step is kept, and what is left over stays at its end. */
export function spotsOf(of: AlongLine): readonly Vec2[] {
  const path = pathOf(of);
  if (path.length < 2) return path;
  const steps = Math.floor(lengthOf(path) / of.every + NEAR_END);
  return Array.from({ length: Math.min(steps + 1, MAX_SPOTS) }, (_, i) =>
    i === 0 ? path[0] : (placeAlong(path, Math.min(i * of.every, lengthOf(path)), 0) ?? path[path.length - 1]),
  );
}

/** The ground that they take: around the one place, or along the line, m on each side. */
export function groundAlong(of: AlongLine, reach: number): readonly Vec2[] {
  const path = pathOf(of);
  return path.length < 2 ? circle(path[0], reach, 16) : ribbon(path, reach, -reach);
}

/** Why they cannot stand along their line, and the field; null where they can. */
export function validateSpots(of: AlongLine): ElementError | null {
  const { path } = of;
  if (path.length === 1) return null;
  const long = lengthOf(pathOf(of));
  if (long === 0) return { field: "path", message: "has no length." };
  return long / of.every > MAX_SPOTS - 1
    ? { field: "every", message: `is too near for a line so long: ${MAX_SPOTS} of them are the most.` }
    : null;
}
