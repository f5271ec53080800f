import type { Vec2 } from "../geometry";
import { between, meet } from "./meet";
import type { Stretch } from "./quad";
import type { Constructed } from "./schools";

/**
 * Shares by a measuring point: a line through the near end, beside the horizon, is laid off evenly as far as the line
 * from the measuring point through the far end cuts it; lines from the marks to the point cut the line itself.
 * @param point a point of the vanishing line of the plane that is worked in, such as a measuring point, mm
 * @param along the direction of that vanishing line
 */
export function byMeasuringPoint(
  [from, to]: Stretch,
  point: Vec2,
  along: Vec2,
  shares: readonly number[],
): Constructed {
  const base: Stretch = [from, [from[0] + along[0], from[1] + along[1]]];
  const end = meet(base, [point, to]);
  const marks = shares.map((share) => between(from, end, share));
  const places = marks.map((mark, i) =>
    shares[i] === 0 ? from : shares[i] === 1 ? to : meet([mark, point], [from, to]),
  );
  const inner = marks.filter((_, i) => shares[i] > 0 && shares[i] < 1);
  return {
    places,
    drawn: [
      { what: "base", lines: [[from, end]], found: [] },
      { what: "far end", lines: [[point, end]], found: [end] },
      { what: "marks", lines: [], found: inner },
      { what: "to the measuring point", lines: inner.map((mark): Stretch => [mark, point]), found: places },
    ],
  };
}
