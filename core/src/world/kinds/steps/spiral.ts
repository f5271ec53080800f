import { headingDirection, type Vec2 } from "../../../geometry";
import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { circle } from "../../polygon";
import type { Steps } from "./schema";
import { terrace, type Tread } from "./terrace";

/** The eye of a spiral where nothing is said, m (common practice). */
export const EYE = 0.2;
/** A solid spiral is round: no piece of it turns by more than this, degrees. */
const PIECE = 10;
/** How thick a free tread is, and how high the newel rises over the last one, m (common practice). */
const [SLAB, NEWEL] = [0.05, 1] as const;

/** How a spiral turns: about where, by how much with each tread, degrees, between which radii, m. */
export interface Turning {
  readonly about: Vec2;
  readonly each: number;
  readonly inner: number;
  readonly outer: number;
  /** The place at a distance from its middle, turned by so many degrees from the foot. */
  readonly at: (radius: number, turn: number) => Vec2;
}

/** How a spiral turns: its treads are as deep in the middle of its width as is said. */
export function turningOf({ foot, heading, width, tread, eye = EYE, left }: Steps): Turning {
  const side = left ? -1 : 1;
  const middle = eye + width / 2;
  const [rx, ry] = headingDirection(heading + 90 * side);
  const about: Vec2 = [foot.x + middle * rx, foot.y + middle * ry];
  return {
    about,
    each: (tread / middle) * (180 / Math.PI),
    inner: eye,
    outer: eye + width,
    at: (radius, turn) => {
      const [x, y] = headingDirection(heading - 90 * side + side * turn);
      return [about[0] + radius * x, about[1] + radius * y];
    },
  };
}

/** A spiral on a solid that reaches down to the ground: it turns less than once around. */
export function solidSpiral(steps: Steps): Solid {
  const { id, count, riser, foot, left } = steps;
  const { each, inner, outer, at } = turningOf(steps);
  const pieces = Math.max(1, Math.ceil(each / PIECE));
  const arc = (radius: number, tread: number) =>
    Array.from({ length: pieces + 1 }, (_, i) => at(radius, (tread + i / pieces) * each));
  const treads = Array.from({ length: count }, (_, i): Tread => {
    const [inside, outside] = [arc(inner, i), arc(outer, i)];
    return left ? { right: outside, left: inside } : { right: inside, left: outside };
  });
  return terrace({ id, treads, foot: foot.z, riser, round: true });
}

/** A spiral of free treads around a newel. */
export function openSpiral(steps: Steps): Solid[] {
  const { id, count, riser, foot, left } = steps;
  const { about, each, inner, outer, at } = turningOf(steps);
  const thick = Math.min(SLAB, riser / 2);
  const treads = Array.from({ length: count }, (_, i) => {
    const corners = [at(inner, i * each), at(inner, (i + 1) * each), at(outer, (i + 1) * each), at(outer, i * each)];
    const points = left ? corners.reverse() : corners;
    const top = foot.z + (i + 1) * riser;
    return loft(id, [ring(points, top - thick), ring(points, top)], null);
  });
  const round = circle(about, inner * Math.cos((each * Math.PI) / 360));
  const newel = [ring(round, foot.z), ring(round, foot.z + count * riser + NEWEL)];
  return [...treads, loft(id, newel, null, "all")];
}
