import { add, distance2, scale, type Vec3 } from "../geometry";
import { project, type View } from "../shot";
import { DEFAULT_LINE_SPACING } from "../scene";
import { frameOf, type MeasuredPlane } from "./measured";
import { halvings } from "./thinning";

/** From where to where, m. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** A box in which planes end: along both sets, counted from the eye, and up from the ground, m. */
export interface Extent {
  readonly left: Span;
  readonly right: Span;
  readonly up: Span;
}

/** A line of a bounded plane in the world, and its number counted from the origin. */
export interface BoundedLine {
  readonly ends: readonly [Vec3, Vec3];
  readonly number: number;
}

/** Lines are thinned by halves at most this often, and no family has more of them than this. */
const HALVINGS = 10;
const MAX_LINES = 2000;

/** A plane by its origin and axes, and how far it goes along each of them. */
interface Bounded {
  readonly origin: Vec3;
  readonly axes: readonly [Vec3, Vec3];
  readonly spans: readonly [Span, Span];
}

function boundedOf(
  view: View,
  orientation: number,
  gaze: number,
  plane: MeasuredPlane,
  { left, right, up }: Extent,
): Bounded {
  const [origin, u, v] = frameOf(view, orientation, gaze, plane);
  const from = (axis: Vec3, { from: a, to: b }: Span): Span => {
    const eye = view.eye[0] * axis[0] + view.eye[1] * axis[1];
    return { from: eye + a, to: eye + b };
  };
  const spans: readonly [Span, Span] =
    plane.plane === "level" ? [from(u, left), from(v, right)] : [from(u, plane.plane === "left" ? left : right), up];
  return { origin, axes: [u, v], spans };
}

const at = ({ origin, axes: [u, v] }: Bounded, s: number, t: number): Vec3 =>
  add(add(origin, scale(u, s)), scale(v, t));

/** The lines of one family: along an axis from end to end, a square apart along the other. */
function family(view: View, plane: Bounded, along: 0 | 1, every: number, gap: number): BoundedLine[] {
  const [ends, steps] = [plane.spans[along], plane.spans[1 - along]];
  const line = (k: number): readonly [Vec3, Vec3] => {
    const place = (s: number) => (along === 0 ? at(plane, s, k * every) : at(plane, k * every, s));
    return [place(ends.from), place(ends.to)];
  };
  const apart = (a: readonly [Vec3, Vec3], b: readonly [Vec3, Vec3]) =>
    Math.max(
      ...[0, 1].map((end) => {
        const [p, q] = [project(view, a[end]), project(view, b[end])];
        return p && q ? distance2(p, q) : Infinity;
      }),
    );
  const [first, last] = [Math.ceil(steps.from / every - 1e-9), Math.floor(steps.to / every + 1e-9)];
  const lines: BoundedLine[] = [];
  for (let number = first; number <= Math.min(last, first + MAX_LINES); number++) {
    const whole = 2 ** halvings(number, HALVINGS);
    const own = line(number);
    // Where lines would clot, only every second, fourth or further one is left.
    if (Math.min(apart(own, line(number + whole)), apart(own, line(number - whole))) >= gap)
      lines.push({ ends: own, number });
  }
  return lines;
}

/**
 * The lines of a measured plane that ends, and its rim, in the world: whole squares counted from the origin, thinned
 * where they would come nearer than the least gap, mm.
 */
export function boundedLines(
  view: View,
  orientation: number,
  gaze: number,
  plane: MeasuredPlane,
  extent: Extent,
  gap = DEFAULT_LINE_SPACING.gap,
): { readonly lines: readonly BoundedLine[]; readonly rim: readonly (readonly [Vec3, Vec3])[] } {
  const bounded = boundedOf(view, orientation, gaze, plane, extent);
  const [a, b] = bounded.spans;
  const corners = [
    at(bounded, a.from, b.from),
    at(bounded, a.to, b.from),
    at(bounded, a.to, b.to),
    at(bounded, a.from, b.to),
  ];
  return {
    lines: ([0, 1] as const).flatMap((along) => family(view, bounded, along, plane.every, gap)),
    rim: corners.map((corner, i) => [corner, corners[(i + 1) % 4]] as const),
  };
}
