import { add, scale, cross, dot, headingDirection, norm, sub, unit, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Orientation, Shot } from "../scene";
import { eyeAxes, fromEye, gazeOf, toEye, unproject, viewOf } from "./view";

/**
 * What a point of a six-point set-up is called: the plumb line, and the quarter turns of the first orientation in
 * degrees.
 */
export const SIX = ["up", "down", "0", "90", "180", "270"] as const;
export type SixName = (typeof SIX)[number];
/** The names of the first and the second point; the third follows. */
export type SixNames = readonly [SixName, SixName];

type Turned = Pick<Orientation, "heading">;

/** Directions nearer together than this (sine) are one. */
const ONE = 1e-6;

/** The world direction that a name stands for. */
export const namedDirection = ({ heading }: Turned, name: SixName): Vec3 =>
  name === "up" ? [0, 0, 1] : name === "down" ? [0, 0, -1] : headingDirection(heading + Number(name));

/** Whether two names stand for one line through the eye. */
export const sameAxis = (a: SixName, b: SixName): boolean =>
  norm(cross(namedDirection({ heading: 0 }, a), namedDirection({ heading: 0 }, b))) < ONE;

/** The name of the third point, that of first x second. */
export function thirdName([first, second]: SixNames): SixName {
  const third = cross(namedDirection({ heading: 0 }, first), namedDirection({ heading: 0 }, second));
  return SIX.reduce((best, name) =>
    dot(namedDirection({ heading: 0 }, name), third) > dot(namedDirection({ heading: 0 }, best), third) ? name : best,
  );
}

/**
 * The direction, in eye axes, on the horizon of `first` nearest to the one seen at a place of the sheet (mm).
 * @throws NoAnswer at the first point itself and straight behind it, where every place of its horizon is as near
 */
export function slidTo(shot: Shot, first: Vec3, place: readonly [number, number]): Vec3 {
  const view = viewOf(shot);
  const ray = toEye(view, unproject(view, place));
  const along = sub(ray, scale(first, dot(ray, first)));
  if (norm(along) < ONE)
    throw new NoAnswer(
      "This is the first point itself, or the one straight opposite: lead the second away from it, along the horizon.",
    );
  return unit(along);
}

/**
 * Three directions at right angles from two, all in eye axes: the second is first laid square to the first, the third
 * is their cross product, which reads second x first here as right, up and forward are left-handed.
 */
export function sixPoints(first: Vec3, second: Vec3): readonly [Vec3, Vec3, Vec3] {
  const a = unit(first);
  const b = unit(sub(second, scale(a, dot(a, second))));
  return [a, b, cross(b, a)];
}

/** Where the first two named points of a shot are, in eye axes. */
export function sixOf(shot: Shot, orientation: Turned, names: SixNames): readonly [Vec3, Vec3] {
  const view = viewOf(shot);
  return [toEye(view, namedDirection(orientation, names[0])), toEye(view, namedDirection(orientation, names[1]))];
}

/**
 * The shot with its view turned so that the two named points lie where they are put, in eye axes; lens and eye stay.
 * @throws NoAnswer for two names of one axis, or two places that are one
 */
export function withSix(
  shot: Shot,
  orientation: Turned,
  names: SixNames,
  [first, second]: readonly [Vec3, Vec3],
): Shot {
  if (sameAxis(...names))
    throw new NoAnswer(
      "A point and its opposite cannot both be named: they lie on one line through the eye. Take one of the " +
        "other four.",
    );
  if (norm(cross(first, second)) < ONE * norm(first) * norm(second))
    throw new NoAnswer("Both points lie on one line through the eye: lead the second along the first one’s horizon.");
  const eye = sixPoints(first, second);
  const [a, b] = names.map((name) => namedDirection(orientation, name));
  const world = [a, b, cross(a, b)];
  // Each axis of the eye, as the three points have it, in the world.
  const [right, up, forward] = [0, 1, 2].map((k) =>
    eye.map((e, j) => scale(world[j], e[k])).reduce((sum, part) => add(sum, part)),
  );
  return { ...shot, gaze: gazeOf({ right, up, forward }) };
}

/** The names with which the two points turn the view the least from where it was. */
export function nearestNames(shot: Shot, orientation: Turned, points: readonly [Vec3, Vec3]): SixNames {
  const before = eyeAxes(shot.gaze);
  const alike = (names: SixNames) => {
    const after = eyeAxes(withSix(shot, orientation, names, points).gaze);
    return dot(before.right, after.right) + dot(before.up, after.up) + dot(before.forward, after.forward);
  };
  const all = SIX.flatMap((first) =>
    SIX.filter((second) => !sameAxis(first, second)).map((second): SixNames => [first, second]),
  );
  return all
    .map((names) => [names, alike(names)] as const)
    .reduce((best, one) => (one[1] > best[1] + 1e-9 ? one : best))[0];
}

/** The same places, called otherwise: another picture from the same set-up. */
export const renamed = (shot: Shot, orientation: Turned, before: SixNames, after: SixNames): Shot =>
  withSix(shot, orientation, after, sixOf(shot, orientation, before));

/**
 * The first two points mirrored left to right about the centre of vision, with the third where it follows from them.
 */
export const mirrored = (shot: Shot, orientation: Turned, names: SixNames): Shot => {
  const [[a, b, c], [d, e, f]] = sixOf(shot, orientation, names);
  return withSix(shot, orientation, names, [
    [-a, b, c],
    [-d, e, f],
  ]);
};

/** What is worth knowing about where a first point (in eye axes) was put, or null. */
export function firstPlaceTold([a, b, c]: Vec3): string | null {
  if (Math.hypot(a, b) < 1e-3 * Math.abs(c))
    return "It stands in the very middle: its horizon is the rim, and five points are seen.";
  if (Math.abs(c) < 1e-3 * Math.hypot(a, b))
    return "It stands on the rim: its horizon is a straight line through the middle.";
  return null;
}

/** The world direction of one in eye axes. */
export const seenBy = (shot: Shot, direction: Vec3): Vec3 => fromEye(viewOf(shot), direction);
