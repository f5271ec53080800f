import { headingDirection, type Vec2 } from "../../../geometry";
import type { Steps } from "./schema";

/** The eye of a spiral where nothing is said, m (common practice). */
export const EYE = 0.2;
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
