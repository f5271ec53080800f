import { along, cross, distance2, dot, norm, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { project, unproject, type View } from "../shot";

/** The sine of the least angle between two rays that tells them apart. */
const APART = 1e-9;

/** A line of the world that runs one way, from a place in front of the eye; its shape is known, not how far off. */
interface Running {
  readonly start: Vec3;
  readonly run: Vec3;
}

/**
 * The line of the world through the rays of two places of a picture that runs along a direction, its start one unit
 * from the eye: what lies on the rays, as nearly as a hand aims.
 */
function lineThrough(a: Vec3, b: Vec3, direction: Vec3): Running {
  const normal = cross(a, b);
  const size = norm(normal);
  if (size < APART) throw new NoAnswer("The two ends are one place.");
  // The direction as it lies in the plane of the two rays: a hand never aims quite at its point.
  const off = dot(direction, normal) / (size * size);
  const way = along(direction, normal, -off);
  const run = norm(way);
  if (run < APART) throw new NoAnswer("The line does not run towards that point.");
  // a + s way meets the ray of b.
  const [ab, wb] = [dot(cross(a, b), normal), dot(cross(way, b), normal)];
  const s = -ab / wb;
  const reach = dot(along(a, way, s), b);
  if (!Number.isFinite(s) || reach <= 0 || Math.abs(wb) < APART * run * size)
    throw new NoAnswer("The point lies between the two ends: no line of the world is seen like this.");
  return { start: a, run: [way[0] * s, way[1] * s, way[2] * s] };
}

/**
 * Where shares of a line of the world lie in the picture, in any lens, from the pictures of its ends and its direction:
 * on the line's own rays, so that the cross-ratio with its vanishing point is that of the shares.
 * @param shares 0 at the first end, 1 at the second; beyond them the line goes on
 * @throws NoAnswer where the vanishing point lies between the ends, or a share falls behind the eye
 */
export function spacedTowards(
  view: View,
  [from, to]: readonly [Vec2, Vec2],
  direction: Vec3,
  shares: readonly number[],
): Vec2[] {
  const { start, run } = lineThrough(unproject(view, from), unproject(view, to), direction);
  return shares.map((share) => {
    const at = project({ ...view, eye: [0, 0, 0] }, along(start, run, share));
    if (!at) throw new NoAnswer("It would go on behind the eye.");
    return at;
  });
}

/** How far the worst of some places is off where even spacing on paper would put it, mm. */
export function evenError(places: readonly Vec2[], shares: readonly number[]): number {
  const [first, last] = [places[0], places[places.length - 1]];
  const [s0, s1] = [shares[0], shares[shares.length - 1]];
  return places.reduce((worst, at, i) => {
    const t = (shares[i] - s0) / (s1 - s0);
    const even: Vec2 = [first[0] + t * (last[0] - first[0]), first[1] + t * (last[1] - first[1])];
    return Math.max(worst, distance2(at, even));
  }, 0);
}
