import { dot, norm, sub, type Vec2, type Vec3 } from "../geometry";
import { axesOf, inWorld, ontoPlane, type OwnPlane } from "../lines";
import { NoAnswer } from "../problem";
import { project, unprojectTo, type View } from "../shot";

/** The sine of the least angle at which a plane can be drawn on. */
const EDGE_ON = 0.005;

/** Whether a plane is seen so nearly edge-on that a hand cannot draw on it. */
export function isEdgeOn({ eye }: View, plane: OwnPlane, at?: Vec3): boolean {
  const { normal, origin } = axesOf(plane);
  const to = sub(at ?? origin, eye);
  return Math.abs(dot(normal, to)) < EDGE_ON * norm(to);
}

/**
 * Where a place of the sheet lies on a plane of the world, m.
 * @throws NoAnswer where the plane is seen edge-on, or lies behind the eye there
 */
export function placeOnPlane(view: View, plane: OwnPlane, at: Vec2): Vec2 {
  const axes = axesOf(plane);
  const place = unprojectTo(view, at, axes.normal, dot(axes.normal, axes.origin));
  if (!place) throw new NoAnswer(`${plane.name} is not seen there.`);
  if (isEdgeOn(view, plane, place)) throw new NoAnswer(`${plane.name} is seen edge-on there: choose another plane.`);
  return ontoPlane(axes, place);
}

/** Where a place of a plane is seen on the sheet, mm; null where it is not. */
export const seenOnPlane = (view: View, plane: OwnPlane, place: Vec2): Vec2 | null =>
  project(view, inWorld(axesOf(plane), place));
