import type { Vec3 } from "../../geometry";
import type { Solid } from "../solid";
import { meshOf } from ".";
import { cardOf } from "./card";
import { seenSolidOfMesh } from "./mesh";

/** How the other things and the eye stand to a solid with round faces. */
export interface Seeing {
  /** Facets leave the surface by no more than this at rims and contours, rad. */
  readonly within: number;
  /** Whether other things cut through it, so that all its facets must be as fine as its rims. */
  readonly isCut?: boolean;
  /** Whether the eye is within it. */
  readonly isInside?: boolean;
}

/**
 * A solid as an eye sees it: one with round faces falls into facets, with edges exactly at its rims and where it turns
 * away from the eye, and no others. Flat faces keep their numbers. Facets that look away stand for one another, unless
 * they are seen from inside or cut by other things.
 */
export function facing(solid: Solid, eye: Vec3, { within, isCut = false, isInside = false }: Seeing): Solid {
  const { shape, id, part } = solid;
  if (shape?.kind === "hulls") return { ...cardOf(id, shape, { eye, within, isCut, isInside }), part };
  return shape ? { ...seenSolidOfMesh(id, meshOf(shape, { eye, within, isCut, isInside })), part } : solid;
}
