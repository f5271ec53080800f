import { along, cross, degrees, distance2, dot, norm, radians, unit, type Vec2 } from "../geometry";
import { axesOf, type OwnPlane } from "../lines";
import { projectDirection, unproject, type View } from "../shot";
import type { Pin } from "../vanishing";

/** A set that a line nearly runs to, and by how much it misses, degrees. */
export interface Aim {
  readonly pin: Pin;
  readonly miss: number;
}

/** A line that misses a set by no more than this catches it, degrees. */
export const CATCH = 4;

/** The least angle between two ways, whichever way round they run, degrees. */
function between([ax, ay]: Vec2, [bx, by]: Vec2): number {
  const turn = Math.abs(degrees(Math.atan2(ax * by - ay * bx, ax * bx + ay * by)));
  return Math.min(turn, 180 - turn);
}

/** The way on paper from a place to a pin, in a straight lens. */
export function wayTo({ point }: Pick<Pin, "point">, [x, y]: Vec2): Vec2 {
  if (point.at) return [point.at[0] - x, point.at[1] - y];
  const angle = radians(point.angle ?? 0);
  return [Math.cos(angle), Math.sin(angle)];
}

/**
 * By how much a line misses a set, degrees: on paper at its first end, or, in a curved lens, between the great circles
 * that the line and the set's line through that end are seen as. Null where the end is the point itself.
 */
export function missOf(view: View, pin: Pin, [from, to]: readonly [Vec2, Vec2]): number | null {
  if (view.law.straight) {
    const way = wayTo(pin, from);
    return Math.hypot(...way) < 1e-6 ? null : between(way, [to[0] - from[0], to[1] - from[1]]);
  }
  const [a, b] = [unproject(view, from), unproject(view, to)];
  const [p, q] = [cross(a, b), cross(a, pin.direction)];
  if (norm(p) < 1e-9 || norm(q) < 1e-9) return null;
  const turn = degrees(Math.acos(Math.min(1, Math.abs(dot(p, q)) / (norm(p) * norm(q)))));
  return turn;
}

/** The sets that a line nearly runs to, the nearest first; a set and its opposite are one. */
export function aimsOf(view: View, pins: readonly Pin[], line: readonly [Vec2, Vec2]): Aim[] {
  if (distance2(...line) < 1e-6) return [];
  return pins
    .flatMap((pin) => {
      const miss = pin.opposite ? null : missOf(view, pin, line);
      return miss === null ? [] : [{ pin, miss }];
    })
    .sort((a, b) => a.miss - b.miss);
}

/** How far a line's far end lies beside the line to its set, mm on paper. */
export function missedBy(view: View, pin: Pin, [from, to]: readonly [Vec2, Vec2]): number {
  return distance2(to, ledTo(view, pin, [from, to]));
}

/**
 * The far end of a line led onto the line through its first end to a set: square to it on paper, or, in a curved lens,
 * by the nearest ray.
 */
export function ledTo(view: View, pin: Pick<Pin, "point" | "direction">, [from, to]: readonly [Vec2, Vec2]): Vec2 {
  if (view.law.straight) {
    const [wx, wy] = wayTo(pin, from);
    const size = wx * wx + wy * wy;
    if (size < 1e-12) return to;
    const t = ((to[0] - from[0]) * wx + (to[1] - from[1]) * wy) / size;
    return [from[0] + t * wx, from[1] + t * wy];
  }
  const normal = cross(unproject(view, from), pin.direction);
  if (norm(normal) < 1e-9) return to;
  const n = unit(normal);
  const ray = unproject(view, to);
  return projectDirection(view, along(ray, n, -dot(ray, n))) ?? to;
}

/** The sets whose lines can lie in a plane: those that run along it. */
export function setsAlong(plane: OwnPlane, pins: readonly Pin[]): Pin[] {
  const { normal } = axesOf(plane);
  return pins.filter(({ direction }) => Math.abs(dot(normal, direction)) < 1e-6);
}

/** The place so far from another along a line on paper, mm. */
export function atLength([from, to]: readonly [Vec2, Vec2], length: number): Vec2 {
  const long = distance2(from, to);
  return long < 1e-9
    ? to
    : [from[0] + ((to[0] - from[0]) * length) / long, from[1] + ((to[1] - from[1]) * length) / long];
}
