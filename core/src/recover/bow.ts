import { distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Reference } from "../scene";
import { carried, type Called } from "./carry";
import { fit } from "./fit";

/**
 * How a lens bows what is straight: a place at a distance r from the centre, in half diagonals of the picture, is seen
 * at r (1 + k1 r^2 + k2 r^4): barrels have a negative k1, pincushions a positive one (Brown, Photogrammetric
 * Engineering 37, 1971 (from memory); OpenCV's model with both focal lengths set to half the diagonal).
 */
export interface Bow {
  readonly centre: Vec2;
  /** Half the diagonal, px. */
  readonly size: number;
  readonly k1: number;
  readonly k2: number;
}

/** What bowed edges told. */
export interface RecoveredBow extends Bow {
  /** Standard deviation of k1. */
  readonly sd: number;
  /** How far the edges stray from straight, px at most: as traced, and undistorted. */
  readonly before: number;
  readonly after: number;
}

/** An edge that is straight in the world and bowed in the picture: places along it, px. */
export type Bowed = NonNullable<Reference["bowed"]>[number];

/** Where a straight picture's place is seen in the bowed one. */
export function bowedAt({ centre: [cx, cy], size, k1, k2 }: Bow, [x, y]: Vec2): Vec2 {
  const [u, v] = [(x - cx) / size, (y - cy) / size];
  const rr = u * u + v * v;
  const k = 1 + rr * (k1 + rr * k2);
  return [cx + size * u * k, cy + size * v * k];
}

/** Where a bowed picture's place belongs: the inverse, by Newton's method along the radius. */
export function undistortedAt(bow: Bow, [x, y]: Vec2): Vec2 {
  const {
    centre: [cx, cy],
    size,
    k1,
    k2,
  } = bow;
  const seen = Math.hypot(x - cx, y - cy) / size;
  if (seen < 1e-12) return [x, y];
  let r = seen;
  for (let round = 0; round < 30; round++) {
    const rr = r * r;
    const slope = 1 + rr * (3 * k1 + 5 * rr * k2);
    // Past the fold of a strong barrel nothing more is seen.
    const step = (r * (1 + rr * (k1 + rr * k2)) - seen) / Math.max(0.2, slope);
    r -= step;
    if (Math.abs(step) < 1e-13) break;
  }
  const k = r / seen;
  return [cx + k * (x - cx), cy + k * (y - cy)];
}

/** Distances of places from the line of least squares through them, px, signed. */
function strays(points: readonly Vec2[]): number[] {
  const n = points.length;
  const [mx, my] = [points.reduce((s, p) => s + p[0], 0) / n, points.reduce((s, p) => s + p[1], 0) / n];
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of points) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  const turn = Math.atan2(2 * xy, xx - yy) / 2;
  const [nx, ny] = [-Math.sin(turn), Math.cos(turn)];
  return points.map(([x, y]) => nx * (x - mx) + ny * (y - my));
}

const worst = (edges: readonly (readonly Vec2[])[]): number =>
  Math.max(0, ...edges.flatMap((points) => strays(points).map(Math.abs)));
/** A k2 of its own needs so many edges; with fewer it would follow the hand. */
const EDGES_FOR_K2 = 4;
/** k1 must be known to this much. */
const SURE = 0.05;

/**
 * The bow of a lens from edges that ought to be straight: k1, and from four edges on k2, for which their places come
 * nearest to straight lines (plumb line method: Brown, 1971 (from memory)).
 * @param hand standard deviation of the hand at a place, px
 * @throws NoAnswer for edges of fewer than three places, or ones that tell nothing, as through the centre
 */
export function recoverBow(
  { width, height, centre, bowed = [] }: Pick<Reference, "width" | "height" | "centre" | "bowed">,
  hand = 1,
): RecoveredBow {
  const edges = bowed
    .map(({ points }) => points.map(({ x, y }): Vec2 => [x, y]))
    .filter((points) => points.length >= 3);
  if (edges.length === 0)
    throw new NoAnswer(
      "Draw along an edge that is straight in the world and bowed in the photo, from one end to the other.",
    );
  const plain = {
    centre: centre ? ([centre.x, centre.y] as const) : ([width / 2, height / 2] as const),
    size: Math.hypot(width, height) / 2,
  };
  const many = edges.length >= EDGES_FOR_K2;
  const bowOf = ([k1, k2 = 0]: readonly number[]): Bow => ({ ...plain, k1, k2 });
  const count = edges.reduce((sum, { length }) => sum + length, 0);
  const found = fit(
    (at, out) => {
      const bow = bowOf(at);
      let n = 0;
      for (const points of edges) {
        const back = points.map((p) => undistortedAt(bow, p));
        // A lens that shrinks all would make all residuals small: they count in px of the bowed picture.
        strays(back).forEach((off, i) => {
          const r = distance2(back[i], plain.centre);
          out[n++] = (off * (r > 1e-9 ? distance2(points[i], plain.centre) / r : 1)) / hand;
        });
      }
    },
    count,
    many ? [0, 0] : [0],
  );
  const sd = found.covariance ? Math.sqrt(found.covariance[0][0]) : Infinity;
  if (!(sd < (many ? 4 : 1) * SURE))
    throw new NoAnswer(
      "These edges do not tell how the lens bows: trace long ones near the photo's border. Through its middle " +
        "even a bowed lens leaves straight what is straight.",
    );
  const bow = bowOf(found.at);
  return {
    ...bow,
    sd,
    before: worst(edges),
    after: worst(edges.map((points) => points.map((p) => undistortedAt(bow, p)))),
  };
}

/**
 * How a picture is undistorted: the new picture, as large as the old one, shows `scale` px of a straight lens for each
 * of its own.
 */
export interface Undistorting {
  readonly width: number;
  readonly height: number;
  readonly bow: Bow;
  readonly scale: number;
}

/** The plan for a picture without its bow: as much of it as fills the picture's own shape to the corners. */
export function undistorting(
  { width, height }: Pick<Reference, "width" | "height">,
  { centre, size, k1, k2 }: Bow,
): Undistorting {
  const bow = { centre, size, k1, k2 };
  const border = Array.from({ length: 33 }, (_, i) => i / 32).flatMap((t): Vec2[] => [
    [t * width, 0],
    [t * width, height],
    [0, t * height],
    [width, t * height],
  ]);
  const inside = (scale: number) =>
    border.every(([x, y]) => {
      const [u, v] = bowedAt(bow, [centre[0] + scale * (x - centre[0]), centre[1] + scale * (y - centre[1])]);
      return u >= 0 && u <= width && v >= 0 && v <= height;
    });
  let [fits, not] = [0.2, 2];
  for (let i = 0; i < 40; i++) {
    const scale = (fits + not) / 2;
    if (inside(scale)) fits = scale;
    else not = scale;
  }
  return { width, height, bow, scale: fits };
}

/** Where a place of the old picture is in the undistorted one. */
export function undistortedPlace({ bow, scale }: Undistorting, p: Vec2): Vec2 {
  const [x, y] = undistortedAt(bow, p);
  const [cx, cy] = bow.centre;
  return [cx + (x - cx) / scale, cy + (y - cy) / scale];
}

/** A reference with all that was traced in it taken over to its undistorted picture. */
export const undistorted = (reference: Reference, plan: Undistorting, next: Called): Reference =>
  carried(reference, (p) => undistortedPlace(plan, p), { ...plan, centre: plan.bow.centre }, next);
