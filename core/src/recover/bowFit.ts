import { corners, distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Reference } from "../scene";
import { undistortedAt, type Bow } from "./bow";
import { fit } from "./fit";

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

type BowedReference = Pick<Reference, "width" | "height" | "centre" | "bowed">;

/** A traced edge, and which one of the reference's it is. */
interface Traced {
  readonly index: number;
  readonly points: readonly Vec2[];
}

/** A line through the places of an edge takes two of their degrees of freedom. */
const OF_A_LINE = 2;
/** A k2 of its own needs so many edges; with fewer it would follow the hand. */
const EDGES_FOR_K2 = 4;
/** k1 must be known to this much. */
const SURE = 0.05;
/** An edge can only be told to spoil the fit by two others that agree. */
const EDGES_FOR_SPOILER = 3;
/** 99.9 % of a normal distribution lie under so many standard deviations. */
const SURELY = 3.09;
/** Edges that stray by more than the hand does, in standard deviations of it, are no lens's if no bow halves that. */
const LOOSE = 3;

/** The value under which 99.9 % of a chi-square distribution lie (Wilson and Hilferty, 1931 (from memory)). */
const surely = (freedom: number): number =>
  freedom * (1 - 2 / (9 * freedom) + SURELY * Math.sqrt(2 / (9 * freedom))) ** 3;

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

const worst = (edges: readonly Traced[], place = (p: Vec2): Vec2 => p): number =>
  Math.max(0, ...edges.flatMap(({ points }) => strays(points.map(place)).map(Math.abs)));

/** Distances of an edge's places from straight once undistorted, in px of the bowed picture. */
function residuals(bow: Bow, points: readonly Vec2[]): number[] {
  const back = points.map((p) => undistortedAt(bow, p));
  // A lens that shrinks all would make all residuals small: they count in px of the bowed picture.
  return strays(back).map((off, i) => {
    const r = distance2(back[i], bow.centre);
    return off * (r > 1e-9 ? distance2(points[i], bow.centre) / r : 1);
  });
}

/** The bow that makes edges as straight as they can be. */
interface BowFit {
  readonly bow: Bow;
  /** Sum of squares of what is left, in standard deviations of the hand. */
  readonly cost: number;
  /** Places less what the lines and the bow take. */
  readonly freedom: number;
  readonly parameters: number;
  /** Standard deviation of k1 for a hand as it is taken to be. */
  readonly sd: number;
}

type Plain = Pick<Bow, "centre" | "size">;

function fitted(plain: Plain, edges: readonly Traced[], hand: number): BowFit {
  const parameters = edges.length >= EDGES_FOR_K2 ? 2 : 1;
  const bowOf = ([k1, k2 = 0]: readonly number[]): Bow => ({ ...plain, k1, k2 });
  const count = edges.reduce((sum, { points }) => sum + points.length, 0);
  const { at, cost, covariance } = fit(
    (ks, out) => {
      const bow = bowOf(ks);
      out.set(edges.flatMap(({ points }) => residuals(bow, points).map((off) => off / hand)));
    },
    count,
    Array.from({ length: parameters }, () => 0),
  );
  return {
    bow: bowOf(at),
    cost,
    parameters,
    freedom: Math.max(1, count - OF_A_LINE * edges.length - parameters),
    sd: covariance ? Math.sqrt(covariance[0][0]) : Infinity,
  };
}

/** The variance of what is left, in that of the hand: never less than one (Birge's ratio). */
const spread = ({ cost, freedom }: BowFit): number => Math.max(1, cost / freedom);

/**
 * The edge without which the others agree far better than chance would have it: the largest drop of the sum of
 * squares, where that is beyond 99.9 % of what as many places of a hand would make.
 */
function spoilerOf(plain: Plain, edges: readonly Traced[], whole: BowFit, hand: number): number | undefined {
  if (edges.length < EDGES_FOR_SPOILER) return undefined;
  const drops = edges.map(({ index, points }) => {
    const rest = fitted(
      plain,
      edges.filter((edge) => edge.index !== index),
      hand,
    );
    const own = points.length - OF_A_LINE + whole.parameters - rest.parameters;
    return { index, beyond: (whole.cost - rest.cost) / spread(rest) / surely(Math.max(1, own)) };
  });
  const most = drops.reduce((a, b) => (b.beyond > a.beyond ? b : a));
  return most.beyond > 1 ? most.index : undefined;
}

/** A bow whose slope falls to this along the radius is as good as folded. */
const FOLDED = 0.05;

/** Whether a bow folds the picture over itself before its farthest corner. */
function folds({ bow: { centre, size, k1, k2 } }: BowFit, { width, height }: BowedReference): boolean {
  const farthest =
    Math.max(...corners({ x: 0, y: 0, width, height }).map((corner) => distance2(corner, centre))) / size;
  for (let r = 0; r * (1 + r * r * (k1 + r * r * k2)) < farthest; r += 0.01)
    if (1 + r * r * (3 * k1 + 5 * r * r * k2) <= FOLDED) return true;
  return false;
}

/** Why a bow is not justified by its edges; null where it is. */
function refusal(whole: BowFit, asTraced: number, reference: BowedReference, spoiler: number | undefined) {
  const named = spoiler === undefined ? "" : ` Edge ${spoiler + 1} spoils the fit: is it straight in the world?`;
  if (!(whole.sd < (whole.parameters > 1 ? 4 : 1) * SURE))
    return (
      "These edges do not tell how the lens bows: trace long ones near the photo's border. Through its middle " +
      "even a bowed lens leaves straight what is straight."
    );
  if (spread(whole) > LOOSE ** 2 && whole.cost > asTraced / 4)
    return `No bow of a lens makes these edges straight.${named || " Is each straight in the world?"}`;
  if ((asTraced - whole.cost) / spread(whole) < surely(whole.parameters))
    return `These edges bow no more than a hand strays that traces them: there is nothing to undistort.${named}`;
  if (folds(whole, reference))
    return `So strong a bow would fold the photo over at its corners. Trace edges nearer to the border.${named}`;
  return null;
}

/** What bowed edges come to: the bow, or why there is none, and the edge that spoils the fit of the others. */
export interface BowFindings {
  readonly bow: RecoveredBow | null;
  /** A sentence with what would help. */
  readonly refusal: string | null;
  /** Its place in the reference's list; nothing where the edges agree. */
  readonly spoiler?: number;
}

/**
 * The bow of a lens from edges that ought to be straight: k1, and from four edges on k2, for which their places come
 * nearest to straight lines (plumb line method: Brown, 1971 (from memory)). There is none from edges of fewer than
 * three places, from ones that tell nothing, as through the centre, and from ones that do not justify any.
 * @param hand standard deviation of the hand at a place, px
 */
export function examineBow(reference: BowedReference, hand = 1): BowFindings {
  const { width, height, centre, bowed = [] } = reference;
  const edges = bowed
    .map(({ points }, index) => ({ index, points: points.map(({ x, y }): Vec2 => [x, y]) }))
    .filter(({ points }) => points.length >= 3);
  if (edges.length === 0)
    return {
      bow: null,
      refusal: "Draw along an edge that is straight in the world and bowed in the photo, from one end to the other.",
    };
  const plain: Plain = {
    centre: centre ? [centre.x, centre.y] : [width / 2, height / 2],
    size: Math.hypot(width, height) / 2,
  };
  const whole = fitted(plain, edges, hand);
  const straight: Bow = { ...plain, k1: 0, k2: 0 };
  const asTraced = edges
    .flatMap(({ points }) => residuals(straight, points))
    .reduce((sum, off) => sum + (off / hand) ** 2, 0);
  const spoiler = spoilerOf(plain, edges, whole, hand);
  const refused = refusal(whole, asTraced, reference, spoiler);
  if (refused !== null) return { bow: null, refusal: refused, spoiler };
  const bow = {
    ...whole.bow,
    sd: whole.sd * Math.sqrt(spread(whole)),
    before: worst(edges),
    after: worst(edges, (p) => undistortedAt(whole.bow, p)),
  };
  return { bow, refusal: null, spoiler };
}

/** The bow of a lens from edges that ought to be straight. @throws NoAnswer where they justify none, with the reason */
export function recoverBow(reference: BowedReference, hand = 1): RecoveredBow {
  const { bow, refusal: reason } = examineBow(reference, hand);
  if (!bow) throw new NoAnswer(reason ?? "There is no bow.");
  return bow;
}
