import { add, cross, scale, type Vec2, type Vec3 } from "../../geometry";
import {
  curvatureOf,
  directionOn,
  normalOn,
  piecesOfOutline,
  placeOn,
  surfaceNumbers,
  type OutlinePoint,
  type Piece,
} from "./outline";

/** An axis: a place on it, its unit direction, and the unit direction across it in which angles begin. */
export interface Axis {
  readonly origin: Vec3;
  readonly up: Vec3;
  readonly side: Vec3;
}

/**
 * A solid of revolution: a half outline, by distance from the axis and height over its origin, which runs upwards with
 * the solid on its left, and the angles that it is turned through, radians, counter-clockwise seen from the axis's end.
 */
export interface Turned {
  readonly kind: "revolved";
  readonly axis: Axis;
  readonly outline: readonly OutlinePoint[];
  /** Whether the outline leads back to its first place, as that of a ring does; else it is closed along the axis. */
  readonly closed?: boolean;
  /** All the way around where nothing is said. */
  readonly sweep?: readonly [from: number, to: number];
}

/** Distances from the axis under this are none, m. */
export const ON_AXIS = 1e-9;

/** An outline that begins and ends on the axis, unless it is closed. */
function closedOutline({ outline, closed }: Turned): readonly OutlinePoint[] {
  if (closed) return outline;
  const [first, last] = [outline[0], outline[outline.length - 1]];
  const foot: OutlinePoint[] = first.at[0] > ON_AXIS ? [{ at: [0, first.at[1]] }] : [];
  const head: OutlinePoint[] = last.at[0] > ON_AXIS ? [{ at: [0, last.at[1]] }] : [];
  return [...foot, ...outline, ...head];
}

/** The pieces of a turned solid's outline, closed along its axis where it is not closed by itself. */
export const piecesOfTurned = (turned: Turned): readonly Piece[] =>
  piecesOfOutline(closedOutline(turned), turned.closed ?? false);

/**
 * The numbers of the round surfaces that the pieces of a turned solid's own outline are of, as its facets have them.
 */
export function surfacesOf(turned: Turned): readonly number[] {
  const { outline, closed = false } = turned;
  const numbers = surfaceNumbers(piecesOfTurned(turned), closed);
  // Where the outline begins off the axis, the foot that closes it comes first.
  const first = closed || outline[0].at[0] <= ON_AXIS ? 0 : 1;
  return numbers.slice(first, first + piecesOfOutline(outline, closed).length);
}

/** Whether a turned solid is convex: it goes all the way around, and its outline turns to the left only. */
export function isConvexTurned(turned: Turned): boolean {
  if (turned.closed || turned.sweep) return false;
  const pieces = piecesOfTurned(turned);
  return pieces.every((piece, i) => {
    if (curvatureOf(piece) < 0) return false;
    if (i === 0) return true;
    const [a, b] = [directionOn(pieces[i - 1], 1), directionOn(piece, 0)];
    return a[0] * b[1] - a[1] * b[0] > -1e-9;
  });
}

/** The directions of an axis's frame. */
export const frameOfAxis = ({ up, side }: Axis): readonly [Vec3, Vec3, Vec3] => [side, cross(up, side), up];

/** A place of a turned surface: its normal, and the direction of its meridian there, of length 1. */
export interface SurfacePlace {
  readonly at: Vec3;
  readonly normal: Vec3;
  readonly meridian: Vec3;
}

/** The place of a piece of an outline at a parameter, turned about an axis to an angle, radians. */
export function turnedPlace(axis: Axis, piece: Piece, t: number, angle: number): SurfacePlace {
  const [side, beside, up] = frameOfAxis(axis);
  const out = add(scale(side, Math.cos(angle)), scale(beside, Math.sin(angle)));
  const on = ([r, z]: Vec2): Vec3 => add(scale(out, r), scale(up, z));
  return {
    at: add(axis.origin, on(placeOn(piece, t))),
    normal: on(normalOn(piece, t)),
    meridian: on(directionOn(piece, t)),
  };
}
