import { add, cross, dot, headingDirection, norm, scale, unit, type Vec3 } from "../geometry";
import type { Orientation } from "../scene";
import type { FaceAreas } from "../visibility";

/** The unit normal of the face that a ring of areas is of. */
export const normalOf = ({ normals }: FaceAreas, ring: number): Vec3 => [
  normals[3 * ring],
  normals[3 * ring + 1],
  normals[3 * ring + 2],
];

/** Kinds of plane, by which tones are told apart where no light does it. */
export const PLANES = [
  { id: "tops", label: "Level tops", dark: 0 },
  { id: "slopes", label: "Sloping roofs", dark: 0.3 },
  { id: "walls", label: "Walls along the first set", dark: 0.15 },
  { id: "across", label: "Walls across it", dark: 0.5 },
  { id: "undersides", label: "Undersides", dark: 0.8 },
  { id: "recesses", label: "Recesses", dark: 0.65 },
] as const;
export type PlaneId = (typeof PLANES)[number]["id"];

/** The direction in which headings of a scene's first set run; to the north where it has none. */
export const firstWay = (orientations: readonly Orientation[]): Vec3 => headingDirection(orientations[0]?.heading ?? 0);

/** Planes this near to level or upright are so: the sine of the angle between. */
const NEAR = 0.02;

/** The kind of a plane. @param way the direction of the first set */
export function planeKind(normal: Vec3, way: Vec3, isRecess: boolean): PlaneId {
  if (isRecess) return "recesses";
  if (normal[2] > 1 - NEAR) return "tops";
  if (normal[2] < -NEAR) return "undersides";
  if (normal[2] > NEAR) return "slopes";
  // A wall runs along what its normal is square to.
  return Math.abs(dot(normal, way)) < Math.SQRT1_2 ? "walls" : "across";
}

/**
 * The direction of lines on a plane, turned from its level lines, or on level ground from the first set: as hatching
 * that follows the sets has it.
 * @param turn degrees counter-clockwise, as one looks at the plane
 */
export function wayOnPlane(normal: Vec3, way: Vec3, turn: number): Vec3 {
  const level = cross([0, 0, 1], normal);
  const first = norm(level) > NEAR ? unit(level) : unit(cross(cross(normal, way), normal));
  const angle = (turn * Math.PI) / 180;
  const second = cross(normal, first);
  return add(scale(first, Math.cos(angle)), scale(second, Math.sin(angle)));
}
